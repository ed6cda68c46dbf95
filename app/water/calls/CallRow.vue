<script setup lang="ts">
import { computed } from 'vue'
import { knownFinish } from '#core/box/own'
import { finishById } from '#core/lure/finish'
import { FELT_M } from '#core/sight/view'
import { useUnits } from '~/settings/useUnits'
import { useTaughtStore } from '~/records/taught'
import { useSettingsStore } from '~/settings/store'
import { type CallShown, shows } from '~/water/callShown'
import { vThroughWater } from '~/figures/throughWater'
import { NIGHT_WATER, redTone } from '~/figures/tone'
import HandFigure from '~/figures/HandFigure.vue'
import LureFigure from '~/figures/LureFigure.vue'
import AgreeMarks from './AgreeMarks.vue'
import LogMark from './LogMark.vue'
import RangeBar from './RangeBar.vue'

/**
 * The call at a place of the list: place, the lure in the hand and at the fish, why, what else is the same to the
 * fish, how far it is seen, and how many schools agree.
 */
const props = defineProps<{
  callAt: (place: number) => CallShown
  place: number
  selectedId: string | null
  phone: boolean
}>()
defineEmits<{ select: [id: string] }>()
const settings = useSettingsStore()
const { lengthNumber, length } = useUnits()
// A row looks its call up itself, so that only rows whose call has changed are drawn anew.
const call = computed(() => props.callAt(props.place))
const selected = computed(() => shows(call.value, props.selectedId))
const red = computed(() => settings.theme === 'night')
const finish = computed(() => knownFinish(call.value.finishId)!)
const water = computed(
  () => `background:${red.value ? redTone(call.value.seen.water, NIGHT_WATER) : call.value.seen.water}`,
)
/** An angler's own colours, in the box. */
const own = computed(() => !finishById(call.value.finishId))
const same = computed(() => call.value.same.map(id => knownFinish(id)!))
/** Most of those that are the same to the fish that a row draws. */
const DRAWN = 2
const taught = useTaughtStore()
const logSays = computed(() => taught.saidOf(call.value.finishId))
const logWords = computed(() => {
  const said = logSays.value
  if (!said) return ''
  const times = said.sure ? `${said.times.toFixed(1)} times its fellows` : 'even so far'
  return `Your log here: ${said.hours.toFixed(1)} hours, ${times}.`
})
const spoken = computed(() =>
  [
    `${call.value.place}. ${call.value.name}${own.value ? ', your own' : ''}.`,
    call.value.sightM < FELT_M
      ? 'Felt before it is seen.'
      : `First seen at ${lengthNumber(call.value.sightM)} ${length.value.unit}.`,
    `${call.value.agree} of 7 schools agree. ${call.value.reason}`,
    same.value.length ? `The same to the fish: ${same.value.map(f => f.name).join(', ')}.` : '',
    logWords.value,
  ].join(' '),
)
</script>

<script lang="ts">
/** Width of a row's outlines, figure units. */
export const ROW_LINE = 2
/** Height of a row, px. */
export const ROW_PX = { desk: 105, phone: 208 } as const
</script>

<template>
  <button
    type="button"
    class="relative block w-full [contain:strict] border-b border-hair text-left"
    :style="{ height: `${phone ? ROW_PX.phone : ROW_PX.desk}px` }"
    :class="selected ? '' : 'xl:border-r xl:border-r-ink'"
    :aria-pressed="selected"
    :aria-label="spoken"
    data-testid="call"
    :data-finish="call.finishId"
    @click="$emit('select', call.finishId)"
  >
    <span class="absolute inset-x-0 top-0 flex" :class="phone ? 'flex-wrap' : 'h-21'">
      <span
        class="figure flex items-center justify-center font-semibold"
        :class="[
          selected ? 'chosen' : '',
          phone ? 'relative h-28 w-11.5 text-rank' : 'absolute top-0 h-26 w-10.5 text-figure',
        ]"
      >
        {{ call.place }}
        <LogMark v-if="logSays" :said="logSays" />
      </span>
      <span
        class="flex bg-plate"
        :class="phone ? 'h-28 flex-1' : 'ml-10.5 h-20.5 w-36 shrink-0 min-[900px]:w-44 xl:w-57'"
      >
        <span class="flex w-1/2 items-center p-1"><HandFigure :finish="finish" :line="ROW_LINE" /></span>
        <span v-through-water="{ seen: call.seen, red }" class="relative flex w-1/2 items-center p-1" :style="water">
          <LureFigure :lure="finish.lure" through :red="red" />
          <span v-if="!call.seen.shape" class="figure absolute inset-0 flex items-center justify-center font-bold">
            gone
          </span>
        </span>
      </span>
      <span
        class="flex min-w-0 flex-col"
        :class="phone ? 'w-full px-3 pt-1.5' : 'flex-1 overflow-hidden pt-0.5 pr-2 pl-2.5'"
      >
        <span class="leading-[1.15] font-bold" :class="phone ? 'text-lead' : 'text-name'">
          {{ call.name }}
          <span v-if="own" class="text-label font-medium whitespace-nowrap text-ink2">yours</span>
        </span>
        <span class="leading-[1.2] text-ink2" :class="phone ? 'h-9.5 text-bar' : 'text-note'" data-whole>
          {{ call.reason }}
        </span>
        <span v-if="same.length && !phone" class="mt-auto flex items-center gap-1 text-label text-ink2">
          <span class="whitespace-nowrap max-xl:hidden">same to fish</span>
          <span class="xl:hidden">same</span>
          <span v-for="f in same.slice(0, DRAWN)" :key="f.id" class="h-4.5 w-10 shrink-0 bg-plate px-0.5">
            <HandFigure :finish="f" :line="ROW_LINE" />
          </span>
          <span v-if="same.length > DRAWN" class="figure font-semibold text-ink">+{{ same.length - DRAWN }}</span>
        </span>
      </span>
    </span>
    <span
      class="absolute flex items-center gap-2"
      :class="phone ? 'inset-x-3 bottom-1' : 'right-2 bottom-0.75 left-10.5'"
    >
      <span class="min-w-0 flex-1">
        <RangeBar :colour-m="call.colourM" :sight-m="call.sightM" :fish-m="call.fishM" :max-m="call.maxM" numerals />
      </span>
      <AgreeMarks :agree="call.agree" />
    </span>
  </button>
</template>
