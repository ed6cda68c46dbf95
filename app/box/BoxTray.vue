<script setup lang="ts">
import { refAutoReset, useElementSize, useEventListener, useVirtualList } from '@vueuse/core'
import { computed, markRaw, onBeforeUnmount, ref, watch } from 'vue'
import type { BoxLure } from './store'
import type { TrayShown } from './work'
import { useUnits } from '~/settings/useUnits'
import { useFigurePictures } from '~/figures/useFigurePictures'
import { provideTurns } from '~/figures/useTurns'
import TrayTile, { TILE_LINE } from './TrayTile.vue'

/** The tray: rows of lures, as many as fit are drawn and the rest when they are scrolled to. */
const props = defineProps<{
  lures: readonly BoxLure[]
  trays: readonly TrayShown[]
  order: 'fish' | 'place'
  kitIds: readonly string[]
}>()
defineEmits<{ edit: [id: string] }>()
/** Whether it runs under a finger or a wheel. */
const scrolling = defineModel<boolean>('scrolling', { required: true })
const { lengthText } = useUnits()
const root = ref<HTMLElement | null>(null)
const { width } = useElementSize(root)
const [TILE_PX, ROW_PX] = [146, 168] as const
/** The tray rests when it has not been scrolled for so long, ms. */
const REST_MS = 200
const perRow = computed(() => Math.max(2, Math.floor(width.value / TILE_PX)))
const tilePx = computed(() => Math.floor(width.value / perRow.value))

const shownOf = computed(() => {
  const out = new Map<string, { tray: TrayShown; tile: TrayShown['finishes'][number] }>()
  for (const tray of props.trays)
    for (const tile of tray.finishes) for (const id of tile.ids) out.set(id, { tray, tile })
  return out
})
const sorted = computed(() => {
  const look = (l: BoxLure) => shownOf.value.get(l.id)?.tile.look ?? Infinity
  const by = (a: BoxLure, b: BoxLure) =>
    props.order === 'place'
      ? a.body.keptIn.localeCompare(b.body.keptIn) || a.body.name.localeCompare(b.body.name)
      : a.body.lure.localeCompare(b.body.lure) || look(a) - look(b)
  return [...props.lures].sort(by)
})
const lookKey = (l: BoxLure) => {
  const s = shownOf.value.get(l.id)
  return s ? `${s.tray.lure} ${s.tile.look}` : null
}
/** Tiles with their brackets: in the fish's order those of one look stand side by side. */
const tiles = computed(() =>
  sorted.value.map((lure, i, all) => {
    const shown = shownOf.value.get(lure.id) ?? null
    const key = lookKey(lure)
    const joins = (other: BoxLure | undefined) =>
      props.order === 'fish' && key !== null && !!other && lookKey(other) === key
    const [before, after] = [joins(all[i - 1]), joins(all[i + 1])]
    const from = shown?.tray.sameFromM[shown.tile.look]
    const words = from === undefined ? 'The same' : from === 0 ? 'Same at any range' : `Same past ${lengthText(from)}`
    const bracket = before || after ? { first: !before, last: !after, words: before ? '' : words } : null
    const finishId = lure.finish?.id
    const n = finishId ? props.kitIds.indexOf(finishId) : -1
    return { lure, shown: shown?.tile ?? null, bracket, kitNumber: n < 0 ? null : n + 1 }
  }),
)
const rows = computed(() =>
  Array.from({ length: Math.ceil(tiles.value.length / perRow.value) }, (_, r) =>
    markRaw(tiles.value.slice(r * perRow.value, (r + 1) * perRow.value)),
  ),
)
const { list, containerProps, wrapperProps } = useVirtualList(rows, { itemHeight: ROW_PX, overscan: 2 })
const { warm, inks } = useFigurePictures()
watch(
  [sorted, inks],
  () =>
    warm(
      sorted.value.flatMap(l => l.finish ?? []),
      TILE_LINE,
    ),
  { immediate: true },
)
const running = refAutoReset(false, REST_MS)
useEventListener(
  containerProps.ref,
  'scroll',
  () => {
    running.value = true
  },
  { passive: true },
)
watch(running, now => {
  scrolling.value = now
})
onBeforeUnmount(() => {
  scrolling.value = false
})
provideTurns(running)
</script>

<template>
  <div ref="root" class="min-h-0 flex-1">
    <div v-bind="containerProps" class="scrolls h-full" tabindex="0" role="region" aria-label="The tray">
      <div v-bind="wrapperProps">
        <div
          v-for="row in list"
          :key="row.index"
          class="flex border-b-2 border-ink contain-strict"
          :style="{ height: `${ROW_PX}px` }"
        >
          <TrayTile
            v-for="t in row.data"
            :key="t.lure.id"
            :lure="t.lure"
            :shown="t.shown"
            :kit-number="t.kitNumber"
            :bracket="t.bracket"
            :width="tilePx"
            @edit="$emit('edit', t.lure.id)"
          />
        </div>
      </div>
    </div>
  </div>
</template>
