<script setup lang="ts">
import { useElementSize } from '@vueuse/core'
import { computed, useTemplateRef } from 'vue'
import { SHARING_STEPS, type SharingStep } from '#shared/crew'
import DragHandle from '~/common/DragHandle.vue'

/** How much somebody is shown: four stops, each holding those before, pulled by a diamond or by keys. */
const props = defineProps<{ name: string; step: SharingStep; sees: string }>()
const emit = defineEmits<{ change: [may: SharingStep] }>()
const track = useTemplateRef('track')
const { width } = useElementSize(track)
const at = computed(() => SHARING_STEPS.indexOf(props.step))
/** Room at both ends for the words of the first stop and the last, px. */
const [LEFT, RIGHT] = [34, 28] as const
const span = computed(() => Math.max(1, width.value - LEFT - RIGHT))
const x = (i: number) => LEFT + (span.value * i) / (SHARING_STEPS.length - 1)
const move = (dx: number, _dy: number, from: number) =>
  Math.round(from + (dx / span.value) * (SHARING_STEPS.length - 1))
const change = (i: number) => {
  const may = SHARING_STEPS[Math.round(i)]!
  if (may !== props.step) emit('change', may)
}
</script>

<template>
  <div>
    <div class="flex items-baseline justify-between">
      <h3 class="text-value font-bold">{{ name }}</h3>
      <span class="text-ink2">{{ sees }}</span>
    </div>
    <div ref="track" class="relative h-11 w-full">
      <svg v-if="width" class="absolute inset-0 h-full w-full" aria-hidden="true">
        <path :d="`M${x(0)} 22H${x(3)}`" stroke="currentColor" stroke-width="1" />
        <path :d="`M${x(0)} 22H${x(at)}`" stroke="currentColor" stroke-width="6" />
        <path v-for="(s, i) in SHARING_STEPS" :key="s" :d="`M${x(i)} 15v14`" stroke="currentColor" stroke-width="1.5" />
      </svg>
      <DragHandle
        v-if="width"
        :label="`What ${name} may see`"
        :value="at"
        :min="0"
        :max="SHARING_STEPS.length - 1"
        :step="1"
        :text="step"
        :x="x(at)"
        :y="22"
        :move="move"
        @change="change"
      >
        <svg viewBox="0 0 24 24" class="size-6" aria-hidden="true">
          <path d="M12 2L22 12L12 22L2 12Z" fill="var(--page)" stroke="currentColor" stroke-width="2.5" />
        </svg>
      </DragHandle>
    </div>
    <div class="relative -mt-2 h-11" role="group" :aria-label="`What ${name} may see, by name`">
      <button
        v-for="(s, i) in SHARING_STEPS"
        :key="s"
        type="button"
        class="absolute min-h-11 min-w-11 -translate-x-1/2 px-1"
        :class="s === step ? 'font-bold' : ''"
        :style="{ left: `${x(i)}px` }"
        :aria-pressed="s === step"
        @click="change(i)"
      >
        {{ s }}
      </button>
    </div>
  </div>
</template>
