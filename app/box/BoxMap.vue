<script setup lang="ts">
import { useElementSize } from '@vueuse/core'
import { computed, ref } from 'vue'
import type { BoxLure } from './store'
import type { MapShown } from './work'
import { knownFinish } from '#core/box/own'
import HandFigure from '~/figures/HandFigure.vue'

/** Finishes of one lure as the fish sees them: near means alike. What is owned is drawn, what is missing a ring. */
const props = defineProps<{ map: MapShown | null; lures: readonly BoxLure[] }>()
defineEmits<{ edit: [id: string] }>()
const root = ref<HTMLElement | null>(null)
const { width, height } = useElementSize(root)
/** Room round the outermost, px. */
const MARGIN = 60
const scale = computed(() => {
  const points = props.map?.points ?? []
  const xs = points.map(p => p[0])
  const ys = points.map(p => p[1])
  const [x0, x1, y0, y1] = [Math.min(...xs), Math.max(...xs), Math.min(...ys), Math.max(...ys)]
  const room = [width.value - 2 * MARGIN, height.value - 2 * MARGIN] as const
  const k = Math.min(room[0] / Math.max(0.1, x1 - x0), room[1] / Math.max(0.1, y1 - y0))
  const at = ([x, y]: readonly [number, number]) => ({
    x: width.value / 2 + k * (x - (x0 + x1) / 2),
    y: height.value / 2 + k * (y - (y0 + y1) / 2),
  })
  return { k, at }
})
const things = computed(() => {
  const { map } = props
  if (!map) return []
  return map.finishIds.map((id, i) => {
    const lure = props.lures.find(l => l.finish?.id === id && !l.body.retired)
    const finish = knownFinish(id)
    return { id, lure, finish, name: lure?.body.name ?? finish?.name ?? id, ...scale.value.at(map.points[i]!) }
  })
})
/** Owned ones last, so that they stand on top. */
const drawn = computed(() => [...things.value].sort((a, b) => Number(!!a.lure) - Number(!!b.lure)))
</script>

<template>
  <div ref="root" class="relative min-h-80 flex-1 overflow-hidden bg-sky" aria-label="The map" role="region">
    <p v-if="!map" class="p-4">Choose a lure you own to see its finishes as the fish does.</p>
    <template v-for="t in drawn" :key="t.id">
      <button
        v-if="t.lure"
        type="button"
        class="absolute h-11 w-24 -translate-1/2"
        :style="{ left: `${t.x}px`, top: `${t.y}px` }"
        :aria-label="`${t.name}. Change it`"
        @click="$emit('edit', t.lure.id)"
      >
        <HandFigure v-if="t.finish" :finish="t.finish" :line="2.4" />
      </button>
      <span
        v-else
        class="absolute size-2.5 -translate-1/2 rounded-full border-2 border-ink"
        :style="{ left: `${t.x}px`, top: `${t.y}px` }"
        :title="t.name"
      />
    </template>
    <p v-if="map" class="figure absolute right-3 bottom-2 flex items-center gap-3 bg-sky px-1 text-note">
      <span class="flex items-center gap-1">
        <span class="size-2.5 rounded-full border-2 border-ink" />
        not in your box
      </span>
      <span class="flex items-center gap-1">
        <span class="inline-block h-0 border-t-2 border-ink" :style="{ width: `${Math.max(2, scale.k)}px` }" />
        one step the fish just tells
      </span>
      <span>stress {{ map.stress.toFixed(2) }}</span>
    </p>
  </div>
</template>
