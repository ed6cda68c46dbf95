<script setup lang="ts">
import { computed } from 'vue'
import { finishById } from '#core/lure/finish'
import { seenAt } from './between'
import type { BarShown, BenchWatcher } from './work'
import LureFigure from '~/figures/LureFigure.vue'
import { vThroughWater } from '~/figures/throughWater'
import { NIGHT_WATER, labelInk, redTone } from '~/figures/tone'
import { useSettingsStore } from '~/settings/store'
import { useUnits } from '~/settings/useUnits'

/** The bar as seen from where one has backed off to: each lure under its letter, its place said once it is gone. */
const props = defineProps<{
  shown: BarShown
  watcher: BenchWatcher
  offM: number
  /** Places guessed so far, by finish. */
  guess: readonly string[]
  phone: boolean
}>()
defineEmits<{ pick: [finishId: string] }>()
const settings = useSettingsStore()
const { lengthText } = useUnits()
const red = computed(() => settings.theme === 'night')
const letter = (i: number) => String.fromCharCode(65 + i)
const order = computed(() => (props.watcher === 'fish' ? props.shown.bar.fish : props.shown.bar.diver).flat())
const lures = computed(() =>
  props.shown.ids.map((id, i) => {
    const h = props.shown.bar.hung.find(x => x.finishId === id)!
    const goneM = props.watcher === 'fish' ? h.fishM : h.diverM
    const guessed = props.guess.indexOf(id)
    return {
      id,
      letter: letter(i),
      name: finishById(id)!.name,
      lure: finishById(id)!.lure,
      goneM,
      gone: goneM < props.offM,
      place: order.value.indexOf(id) + 1,
      guessed: guessed < 0 ? null : guessed + 1,
      seen: seenAt(props.shown.seen[id]!, props.shown.distancesM, props.offM, goneM),
    }
  }),
)
const water = computed(() => {
  const colour = lures.value[0]?.seen.water ?? '#444444'
  return red.value ? redTone(colour, NIGHT_WATER) : colour
})
const ink = computed(() => (red.value ? 'var(--ink)' : labelInk(water.value)))
const sayOf = (l: (typeof lures.value)[number]) =>
  `${l.letter}, ${l.name}: ${l.gone ? `gone at ${lengthText(l.goneM)}` : 'still seen'}` +
  (l.guessed ? `, you said ${l.guessed}` : '')
</script>

<template>
  <ul
    class="grid content-start"
    :class="phone ? 'grid-cols-3' : ''"
    :style="{
      background: water,
      color: ink,
      ...(phone ? {} : { gridTemplateColumns: `repeat(${lures.length}, minmax(0, 1fr))` }),
    }"
    aria-label="The hung bar"
  >
    <li v-for="l in lures" :key="l.id" class="relative">
      <span class="absolute inset-x-0 top-6 h-1.5 bg-ink" aria-hidden="true" />
      <button
        type="button"
        class="relative block w-full pt-1 text-center"
        :aria-label="sayOf(l)"
        data-testid="hung"
        @click="$emit('pick', l.id)"
      >
        <span class="figure mx-auto block h-11 w-14 border-2 border-ink bg-page pt-2 font-bold text-ink">
          {{ l.guessed ? `${l.letter} ${l.guessed}` : l.letter }}
        </span>
        <span class="mx-auto block h-8 w-px bg-current" aria-hidden="true" />
        <span v-through-water="{ seen: l.seen, red }" class="relative mx-auto block h-14 px-1.5">
          <LureFigure v-show="!l.gone" :lure="l.lure" through :red="red" />
          <span v-if="l.gone" class="figure block leading-tight font-bold">
            gone
            <span class="block">{{ lengthText(l.goneM) }}</span>
          </span>
        </span>
      </button>
    </li>
  </ul>
</template>
