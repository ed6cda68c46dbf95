<script setup lang="ts">
import { provideUseId } from '@headlessui/vue'
import { useId, watchEffect } from 'vue'
import MissingPart from '~/shell/MissingPart.vue'
import NewVersion from '~/shell/NewVersion.vue'
import NotTaken from '~/shell/NotTaken.vue'
import { useSettingsStore } from '~/settings/store'

provideUseId(() => useId())
const settings = useSettingsStore()
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
