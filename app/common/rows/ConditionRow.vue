<script setup lang="ts">
import { computed } from 'vue'
import { useAnswersIfAny } from '~/water/useScreen'
import { cap } from '~/words/options'

/** One condition of the back plate: its name, its value, and beneath it what was assumed and why. */
const props = defineProps<{ label: string; /** Path of the request whose assumption belongs here. */ path?: string }>()
const answers = useAnswersIfAny()
const because = computed(() => answers?.plate.value?.answer.assumed.find(a => a.path === props.path)?.because)
</script>

<template>
  <div class="border-b border-hair py-1 last:border-0">
    <div class="flex min-h-11 flex-wrap items-center justify-between gap-x-3">
      <span class="font-semibold">{{ label }}</span>
      <slot />
    </div>
    <p v-if="because" class="pb-1 text-note leading-tight text-ink2">Assumed: {{ cap(because) }}.</p>
  </div>
</template>
