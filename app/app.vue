<script setup lang="ts">
import { provideUseId } from '@headlessui/vue'
import { useId, watchEffect } from 'vue'
import NewVersion from '~/components/NewVersion.vue'
import NotTaken from '~/components/NotTaken.vue'
import { useSettingsStore } from '~/settings/store'

provideUseId(() => useId())
const settings = useSettingsStore()
watchEffect(() => {
  document.documentElement.dataset.theme = settings.theme
})
</script>

<template>
  <NuxtPage />
  <NotTaken />
  <NewVersion />
</template>
