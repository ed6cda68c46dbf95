<script setup lang="ts">
import { computed } from 'vue'
import { finishById } from '#core/lure/finish'
import { FELT_M } from '#core/sight/view'
import { useUnits } from '~/settings/useUnits'
import { useSettingsStore } from '~/settings/store'
import type { CallShown } from '~/screen/callShown'
import { vThroughWater } from '~/figures/throughWater'
import { redTone } from '~/figures/tone'
import HandFigure from '~/components/figure/HandFigure.vue'
import LureFigure from '~/components/figure/LureFigure.vue'
import RangeBar from './RangeBar.vue'

/**
 * The call at a place of the list: rank, the lure in the hand and at the fish, why, how far it is seen, and how many
 * schools agree.
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
const selected = computed(() => call.value.finishId === props.selectedId)
const red = computed(() => settings.theme === 'night')
const finish = computed(() => finishById(call.value.finishId)!)
const water = computed(() => `background:${red.value ? redTone(call.value.seen.water, 120) : call.value.seen.water}`)
/** What is felt before it is seen has no distance worth a number. */
const felt = computed(() => call.value.sightM < FELT_M)
const shownM = computed(() => (felt.value ? 'felt' : lengthNumber(call.value.sightM)))
const unit = computed(() => (felt.value ? '' : length.value.unit))
const spoken = computed(() =>
  [
    `${call.value.place}. ${call.value.name}.`,
    felt.value ? 'Felt before it is seen.' : `First seen at ${shownM.value} ${unit.value}.`,
    `${call.value.agree} of 7 schools agree. ${call.value.reason}`,
  ].join(' '),
)
</script>

<script lang="ts">
/** Width of a row's outlines, figure units. */
export const ROW_LINE = 2
</script>

<template>
  <button
    type="button"
    class="relative block w-full [contain:strict] border-b border-hair text-left"
    :style="{ height: phone ? '169px' : '105px' }"
    :class="selected ? '' : 'xl:border-r xl:border-r-ink'"
    :aria-pressed="selected"
    :aria-label="spoken"
    data-testid="call"
    :data-finish="call.finishId"
    @click="$emit('select', call.finishId)"
  >
    <span class="flex" :class="phone ? 'h-42 flex-wrap' : 'h-26'">
      <span
        class="figure flex items-center justify-center font-semibold"
        :class="[selected ? 'chosen' : '', phone ? 'h-28 w-11.5 text-rank' : 'w-10.5 text-figure']"
      >
        {{ call.place }}
      </span>
      <span class="flex bg-plate" :class="phone ? 'h-28 flex-1' : 'my-1 h-19.5 w-50'">
        <span class="flex w-1/2 items-center p-1"><HandFigure :finish="finish" :line="ROW_LINE" /></span>
        <span v-through-water="{ parts: call.seen.parts, red }" class="flex w-1/2 items-center p-1" :style="water">
          <LureFigure :lure="finish.lure" through :red="red" />
        </span>
      </span>
      <span v-if="!phone" class="flex min-w-0 flex-1 flex-col px-2.5 pt-1">
        <span class="line-clamp-2 shrink-0 text-name leading-[1.15] font-bold">{{ call.name }}</span>
        <span
          class="text-note leading-[1.2] text-ink2"
          :class="call.alike && call.name.length > 18 ? 'line-clamp-1' : 'line-clamp-2'"
        >
          {{ call.reason }}
        </span>
        <span v-if="call.alike" class="truncate text-label leading-tight font-semibold">{{ call.alike }}</span>
      </span>
      <span v-if="!phone" class="w-19.5 shrink-0 pt-1 pr-2 text-right">
        <span class="figure text-figure leading-none font-semibold">
          {{ shownM }}
          <span class="ml-0.5 text-note">{{ unit }}</span>
        </span>
        <span class="block pt-1 text-label leading-tight text-ink2">
          {{ call.agree }} of 7
          <br />
          agree
        </span>
      </span>
      <span v-if="phone" class="flex w-full items-baseline gap-2 px-3 pt-1.5">
        <span class="min-w-0 flex-1 truncate text-lead font-bold">{{ call.name }}</span>
        <span class="figure text-rank leading-none font-semibold">
          {{ shownM }}
          <span class="ml-0.5 text-small">{{ unit }}</span>
        </span>
      </span>
      <span v-if="phone" class="w-full px-3 pb-1">
        <RangeBar :colour-m="call.colourM" :sight-m="call.sightM" :fish-m="call.fishM" :max-m="call.maxM" />
      </span>
    </span>
    <span v-if="!phone" class="absolute right-2 bottom-0.25 left-10.5">
      <RangeBar :colour-m="call.colourM" :sight-m="call.sightM" :fish-m="call.fishM" :max-m="call.maxM" />
    </span>
    <span
      v-if="call.joined !== 'none'"
      class="absolute right-0 w-1.25 border-r-2 border-ink"
      aria-hidden="true"
      :class="{
        'top-1/2 bottom-0 border-t-2': call.joined === 'start',
        'top-0 bottom-0': call.joined === 'middle',
        'top-0 bottom-1/2 border-b-2': call.joined === 'end',
      }"
    />
  </button>
</template>
