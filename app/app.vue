<script setup lang="ts">
import { provideUseId } from '@headlessui/vue'
import { useId, watchEffect } from 'vue'
import { useHead, useRoute } from '#app'
import { placeTitle } from '~/places'
import MissingPart from '~/shell/MissingPart.vue'
import NewVersion from '~/shell/NewVersion.vue'
import NotTaken from '~/shell/NotTaken.vue'
import { useSettingsStore } from '~/settings/store'

provideUseId(() => useId())
const settings = useSettingsStore()
const route = useRoute()
useHead({ title: () => placeTitle(route.path) })
watchEffect(() => {
  document.documentElement.dataset.theme = settings.theme
})
</script>

<template>
  <NuxtPage />
  <MissingPart />
  <NotTaken />
  <NewVersion />
</template>
