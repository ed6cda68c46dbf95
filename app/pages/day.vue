<script setup lang="ts">
import { useElementSize } from '@vueuse/core'
import { computed, nextTick, onMounted, ref } from 'vue'
import { usualDepthM } from '#core/request/resolve'
import { usePhone } from '~/common/usePhone'
import { useSheet } from '~/common/useSheet'
import DayBar from '~/day/DayBar.vue'
import DayLane from '~/day/DayLane.vue'
import DayPrint from '~/day/DayPrint.vue'
import DaySetup from '~/day/DaySetup.vue'
import DaySky from '~/day/DaySky.vue'
import DayWater from '~/day/DayWater.vue'
import HourAxis from '~/day/HourAxis.vue'
import HourSky from '~/day/HourSky.vue'
import KeptPlans from '~/day/KeptPlans.vue'
import PackPanel from '~/day/PackPanel.vue'
import ShadeStrip from '~/day/ShadeStrip.vue'
import { reachFor } from '~/water/column/useColumn'
import { calendarOf, jsonOf } from '~/day/export'
import { useDayStore } from '~/day/store'
import { provideDayScale } from '~/day/useDayScale'
import { useDay } from '~/day/useDay'
import { useDayPlans } from '~/day/useDayPlans'
import { atMinute, minuteOfDay } from '~/reading/clock'
import { useReadingLink } from '~/reading/useReadingLink'
import { useTaughtStore } from '~/records/taught'
import { useBoxStore } from '~/box/store'
import { useReadingStore } from '~/reading/store'
import type { Kept } from '~/records/store'
import { download } from '~/settings/download'
import { useUnits } from '~/settings/useUnits'
import { useWatersStore } from '~/waters/store'
import { counted } from '~/words/numbers'

/** The day: its light and water, the lanes of the rods, and what to pack. */
definePageMeta({ layout: false })
useReadingLink()
const reading = useReadingStore()
const day = useDayStore()
const waters = useWatersStore()
const box = useBoxStore()
const taught = useTaughtStore()
const phone = usePhone()
const { sheet, covered } = useSheet({
  setup: 'Rods, banks and the sky',
  plans: 'Kept plans',
  where: 'Where and when',
})
const { length } = useUnits()

const STOPS = [0, 0.05, 0.12, 0.22, 0.35, 0.5, 0.7, 1]
const reachM = computed(() => {
  const { waterM, visibilityM } = reading.reading
  const deepest = Math.max(...day.set.lanes.map(l => l.depthM ?? usualDepthM(l.lure, waterM, visibilityM)))
  const least = Math.max(
    1.15 * deepest,
    Math.min(visibilityM, 4),
    waterM !== null && waterM < 4 * deepest ? 1.06 * waterM : 0,
  )
  return reachFor(least)
})
const answers = useDay(() => ({
  request: day.request,
  depthsM: STOPS.map(s => s * reachM.value),
  acrossHeightM: day.set.bank?.acrossHeightM ?? null,
  pins: day.set.pins,
  own: box.own.filter(o => day.set.lanes.some(l => l.lure === o.lure)),
  lean: taught.lean,
}))
const { light, plan, scored, progress, failed, cancelled, cancel, rankLanes } = answers

/** Height of the bar over it all, px. */
const BAR_PX = 46
const region = ref<HTMLElement | null>(null)
const hours = ref<HTMLElement | null>(null)
// Near what it will be before it is measured, or the rods would move as the day is opened.
const { height: regionH } = useElementSize(region, { width: 0, height: window.innerHeight - BAR_PX })
const { width: regionPx } = useElementSize(hours)
const cursorMin = computed(() => {
  const min = minuteOfDay(reading.reading.timeMs, reading.reading.zone)
  const to = light.value?.toMin ?? 1440
  // The hours after midnight belong to the evening before where the day goes on into them.
  const on = light.value && min < light.value.fromMin && min + 1440 <= to ? min + 1440 : min
  return Math.min(to, Math.max(light.value?.fromMin ?? 0, on))
})
const { namesPx } = provideDayScale({ light, plan, width: regionPx, cursorMin }, phone)
function setHour(min: number) {
  const { timeMs, zone } = reading.reading
  reading.set({ timeMs: atMinute(timeMs, zone, Math.min(1439, Math.max(0, Math.round(min / 5) * 5))) })
}
const hour = computed(() => Math.min(23, Math.floor(cursorMin.value / 60)))

/** Whoever opens an hour in Water finds its sky there. */
function carryHour() {
  const { cloud, wind, rain } = day.hours[hour.value]!
  reading.set({ cloud, wind, rain })
}

const SKY_PX = computed(() => (phone.value ? 104 : 128))
const SHADE_PX = 56
/** Heights of what stands under the picture: axis and legend, px. */
const REST_PX = 28 + 34
const waterPx = computed(() => (phone.value ? 132 : Math.min(190, Math.max(120, regionH.value * 0.23))))
const lanePx = computed(() => {
  if (phone.value) return 66
  const shade = day.set.bank ? SHADE_PX + 2 : 0
  const left = regionH.value - SKY_PX.value - waterPx.value - REST_PX - shade
  return Math.max(66, Math.min(92, left / day.set.lanes.length))
})
const numberOf = (id: string) => {
  const i = plan.value?.pack.findIndex(p => p.finishId === id) ?? -1
  return i < 0 ? null : i + 1
}
const picked = ref<{ lane: number; spell: number } | null>(null)
const pickedSpell = computed(() => {
  const spell = picked.value && plan.value?.lanes[picked.value.lane]?.[picked.value.spell]
  const steps = light.value?.steps
  if (!spell || !steps?.[spell.to - 1]) return null
  return { lane: picked.value!.lane, spell, fromMin: steps[spell.from]!.atMin, toMin: steps[spell.to - 1]!.endMin }
})

const { keep, kept, open } = useDayPlans(plan, light)
const out = computed(() =>
  light.value && plan.value
    ? {
        water: waters.current?.name ?? 'Unnamed water',
        zone: reading.reading.zone,
        request: day.request,
        light: light.value,
        plan: plan.value,
      }
    : null,
)
const printing = ref<'a4' | 'pocket' | null>(null)
async function print(size: 'a4' | 'pocket') {
  printing.value = size
  await nextTick()
  window.print()
}
async function calendar() {
  if (out.value) download(`day-${day.date}.ics`, 'text/calendar', await calendarOf(out.value))
}
function json() {
  if (out.value) download(`day-${day.date}.json`, 'application/json', jsonOf(out.value))
}

function openPlan(plan: Kept<'plan'>, copy: boolean) {
  open(plan, copy)
  sheet.value = null
}
const held = computed(() => day.set.pins.length)
const LEGEND = [
  { words: 'colour decides', px: 5.6, dash: undefined },
  { words: 'some', px: 3.2, dash: undefined },
  { words: 'hardly counts', px: 1.4, dash: undefined },
  { words: 'a toss-up', px: 5.6, dash: '3 3' },
]

onMounted(() => void waters.load())
</script>

<template>
  <NuxtLayout name="place" wide foot="pb-32" desk="grid-cols-[minmax(0,1fr)_374px] grid-rows-[auto_minmax(0,1fr)]">
    <template #bar>
      <DayBar :cursor-min="cursorMin" @setup="sheet = 'setup'" @plans="sheet = 'plans'" @hour="carryHour" />
    </template>
    <div
      ref="region"
      class="min-h-0 min-w-0"
      :class="phone ? '' : 'scrolls col-1 row-2 border-r-2 border-ink'"
      :inert="covered"
    >
      <p v-if="failed" role="alert" class="border-b border-ink p-2">
        The day could not be worked out just now{{ plan ? '; the plan below is the last one' : '' }}.
        <button type="button" class="min-h-11 underline" @click="rankLanes">Try again</button>
      </p>
      <p v-else-if="cancelled" role="status" class="border-b border-ink p-2">
        Stopped: the lanes are those of before.
        <button type="button" class="min-h-11 underline" @click="rankLanes">Go on</button>
      </p>
      <div class="flex">
        <div
          class="figure flex shrink-0 flex-col justify-between border-r border-ink px-2 text-small"
          :style="{ width: `${namesPx}px` }"
        >
          <HourSky v-if="!phone" :hour="hour" />
          <span v-else />
          <p class="pb-1 text-right text-note leading-tight text-ink2" :style="{ height: `${waterPx * 0.35}px` }">
            down to
            <b class="block text-ink">{{ Number(length.show(reachM).toFixed(1)) }} {{ length.unit }}</b>
          </p>
        </div>
        <div ref="hours" class="min-w-0 flex-1">
          <DaySky :height="SKY_PX" @hour="setHour" />
          <DayWater :height="waterPx" :reach-m="reachM" :stops="STOPS" :phone="phone" />
        </div>
      </div>
      <div class="flex">
        <span class="shrink-0 border-y-2 border-r border-ink" :style="{ width: `${namesPx}px` }" />
        <HourAxis class="flex-1" @hour="setHour" />
      </div>
      <HourSky v-if="phone" row :hour="hour" />
      <ul aria-label="Rods through the day">
        <DayLane
          v-for="(lane, i) in day.set.lanes"
          :key="i"
          :lane="lane"
          :depth-m="light?.depthsM[i]"
          :spells="plan?.lanes[i] ?? null"
          :steps="scored[i] ?? []"
          :pins="day.set.pins.filter(p => p.lane === i)"
          :number-of="numberOf"
          :picked="picked?.lane === i ? picked.spell : null"
          :phone="phone"
          :first="i === 0"
          :height="lanePx"
          @pick="spell => (picked = { lane: i, spell })"
          @edit="sheet = 'setup'"
          @pin="(pin, was) => day.pin({ ...pin, lane: i }, was)"
        />
      </ul>
      <ShadeStrip v-if="day.set.bank" :height="SHADE_PX" @edit="sheet = 'setup'" />
      <p class="figure flex flex-wrap items-center gap-x-5 border-t-2 border-ink px-3 py-1.5 text-note">
        <span v-for="k in LEGEND" :key="k.words" class="flex items-center gap-2">
          <svg width="26" height="8" aria-hidden="true">
            <path d="M0 4H26" stroke="currentColor" :stroke-width="k.px" :stroke-dasharray="k.dash" />
          </svg>
          {{ k.words }}
        </span>
        <button v-if="held" type="button" class="min-h-11 underline" @click="day.unpin()">
          {{ held === 1 ? 'One change is' : `${held} changes are` }} held by you: let go
        </button>
        <span class="ml-auto text-ink2">
          A change must win back {{ counted(Math.round(day.set.changeMin), 'minute') }} of fishing.
        </span>
      </p>
    </div>
    <!-- Under the bar's foot, so that nothing moves under a finger as the plan changes. -->
    <template #below>
      <div
        class="scrolls min-h-0"
        :class="phone ? 'border-t-2 border-ink' : 'col-2 row-2'"
        tabindex="0"
        role="region"
        aria-label="What to pack"
        :inert="covered"
      >
        <PackPanel
          :plan="plan"
          :progress="progress"
          :kept="kept"
          :picked="pickedSpell"
          @keep="keep"
          @print="print"
          @calendar="calendar"
          @json="json"
          @cancel="cancel"
        />
      </div>
    </template>
    <template #thumb>
      <button v-if="plan" type="button" class="action w-full" @click="keep">
        {{ kept ? 'Kept' : `Pack these ${plan.pack.length}` }}: {{ Math.round(plan.packed) }} of 100
      </button>
    </template>
    <template #sheet>
      <DaySetup v-if="sheet === 'setup'" />
      <KeptPlans v-else :date="day.date" @open="openPlan" />
    </template>
    <DayPrint v-if="printing && out" :out="out" :size="printing" />
  </NuxtLayout>
</template>
