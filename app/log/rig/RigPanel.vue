<script setup lang="ts">
import { DateTime } from 'luxon'
import { computed, ref, toRaw, watch } from 'vue'
import { finishesOf } from '#core/lure/finish'
import type { LureId } from '#core/lure/types'
import { MINUTE_MS } from '#core/units'
import type { Rod } from '#shared/schema/record'
import { useBoxStore } from '~/box/store'
import { useLogStore } from '~/log/store'
import { useTaughtStore } from '~/records/taught'
import { localTime, minuteOfDay } from '~/reading/clock'
import { atTime, requestOf } from '~/reading/reading'
import { useReadingStore } from '~/reading/store'
import { useRecordsStore } from '~/records/store'
import { useSettingsStore } from '~/settings/store'
import { useWatersStore } from '~/waters/store'
import AboardRows from '~/common/AboardRows.vue'
import RigRow from './RigRow.vue'
import { MOST_RODS, type RigRod, planFor, rodsOfPlan, standIn } from './rig'
import { useRigStore } from './store'
import { useRigOrders } from './useRigOrders'
import { useRigAsk } from './useRigAsk'

/** What is advised, on drawn rods, before a trip: by today's kept plan, or by the water now. Nothing is written yet. */
const log = useLogStore()
const records = useRecordsStore()
const reading = useReadingStore()
const settings = useSettingsStore()
const waters = useWatersStore()
const box = useBoxStore()
const rig = useRigStore()
const taught = useTaughtStore()

const nowMs = Date.now()
const today = computed(() => localTime(nowMs, reading.reading.zone).toISODate() ?? '')
const plan = computed(() => planFor(records.list('plan'), today.value))
const source = ref<'plan' | 'water'>(plan.value && !rig.sent ? 'plan' : 'water')
const owned = computed(() => new Set(box.finishIds))

const askOf = useRigAsk()
/** The rods as they were chosen by hand; null until one is. */
const byHand = ref<RigRod[] | null>(null)
const lures = computed(() => {
  const named = [...(byHand.value ?? advised.value)].flatMap(r => [r.rod.lure])
  return [...new Set<LureId>([reading.reading.lure, ...named])]
})
const advised = computed<RigRod[]>(() => {
  if (source.value === 'plan' && plan.value)
    return rodsOfPlan(plan.value.body, minuteOfDay(nowMs, reading.reading.zone))
  if (rig.sent) return rig.sent.map(rod => ({ rod, changes: [] }))
  const { lure } = reading.reading
  const three =
    waterThree.value ??
    finishesOf(lure)
      .slice(0, MOST_RODS)
      .map(f => f.id)
  return three.map(finishId => ({ rod: { lure, finishId }, changes: [] }))
})
const waterThree = ref<string[] | null>(null)
const { orders, failed } = useRigOrders(() => lures.value.map(askOf))
watch(
  () => orders.value[reading.reading.lure],
  order => (waterThree.value = order ? order.rotation.map(r => r.finishId) : null),
)
const asWater = computed(() => source.value === 'water' && !rig.sent)
const waiting = computed(() => asWater.value && !waterThree.value && !failed.value && !byHand.value)

/** What lies on each rod: what is advised, or what stands in for it where the box has it not. */
const rods = computed(() =>
  (byHand.value ?? advised.value).map(r => {
    const order = orders.value[r.rod.lure]
    const stand = order && !byHand.value ? standIn(r.rod.finishId, order, ownedOf(r.rod.lure)) : null
    const rod: Rod = stand ? { ...r.rod, finishId: stand.finishId } : r.rod
    return { ...r, rod, stand, order: order ?? null }
  }),
)
const ownedOf = (lure: LureId) => new Set([...owned.value].filter(id => id.startsWith(`${lure}.`)))
/** Until what the box has stands in for what it has not, a trip would begin with lures that are not aboard. */
const unsettled = computed(
  () => !byHand.value && !failed.value && rods.value.some(r => !r.order && ownedOf(r.rod.lure).size > 0),
)
const settled = () => rods.value.map(({ rod, changes }): RigRod => ({ rod, changes }))
const change = (i: number, rod: Rod) => {
  byHand.value = settled().map((r, k) => (k === i ? { rod, changes: r.rod.lure === rod.lure ? r.changes : [] } : r))
}
const without = (i: number) => (byHand.value = settled().toSpliced(i, 1))
function another() {
  const { lure } = reading.reading
  const taken = new Set(rods.value.map(r => r.rod.finishId))
  const first = orders.value[lure]?.order.find(o => !taken.has(o.finishId))?.finishId ?? finishesOf(lure)[0]!.id
  byHand.value = [...settled(), { rod: { lure, finishId: first }, changes: [] }]
}
function by(what: 'plan' | 'water') {
  source.value = what
  byHand.value = null
}

const crew = ref<string[]>([''])
const full = ref(false)
const castsCounted = ref(false)
const open = ref<number | null>(null)
const line = computed(() => rods.value[0]?.order?.line ?? '')
const cautions = computed(() => rods.value[0]?.order?.cautions ?? [])

async function begin() {
  const { waterId, zone } = reading.reading
  // A trip is always now, whatever hour the picture was left at.
  const asked = atTime(requestOf(toRaw(reading.reading), settings.units), Date.now())
  const midnight = DateTime.fromISO(today.value, { zone }).toMillis()
  const changes = rods.value.flatMap((r, rod) =>
    r.changes.map(({ finishId, atMin, held }) => ({
      rod,
      at: new Date(midnight + atMin * MINUTE_MS).toISOString(),
      finishId,
      ...(held ? { held } : {}),
    })),
  )
  await log.start({
    name: waters.current?.name ?? '',
    waterId,
    rods: rods.value.map(r => r.rod),
    asked,
    trial: null,
    note: '',
    ...(crew.value.some(Boolean) ? { crew: crew.value } : {}),
    ...(castsCounted.value ? { castsCounted: true } : {}),
    ...(changes.length ? { changes } : {}),
    ...(source.value === 'plan' && plan.value ? { planId: plan.value.id } : {}),
  })
  rig.sent = null
}
</script>

<template>
  <section class="grid lg:grid-cols-[minmax(0,1fr)_344px]" aria-label="On the rods">
    <div class="min-w-0 lg:border-r-2 lg:border-ink">
      <div class="flex flex-wrap items-center gap-x-5 gap-y-2 border-b border-ink px-4 py-2">
        <h2 class="figure text-lead font-bold">On the rods</h2>
        <div v-if="plan" class="flex border border-ink" role="group" aria-label="By what they are rigged">
          <button
            type="button"
            class="figure min-h-11 px-4 font-semibold"
            :class="source === 'plan' ? 'chosen' : ''"
            :aria-pressed="source === 'plan'"
            @click="by('plan')"
          >
            Plan kept {{ DateTime.fromISO(plan.at).toFormat('ccc HH:mm') }}
          </button>
          <button
            type="button"
            class="figure min-h-11 px-4 font-semibold"
            :class="source === 'water' ? 'chosen' : ''"
            :aria-pressed="source === 'water'"
            @click="by('water')"
          >
            Water, now
          </button>
        </div>
        <p class="ml-auto text-ink2">Not begun: nothing is kept until you begin.</p>
      </div>
      <p v-if="taught.leans" class="border-b border-hair px-4 py-2 font-semibold">{{ taught.leanedWords }}</p>
      <!-- As high as the rods will be, so that nothing moves when they come. -->
      <div v-for="i in waiting ? MOST_RODS : 0" :key="`w${i}`" class="h-31.5 border-b border-ink p-4" aria-busy="true">
        <p v-if="i === 1" role="status">Asking the water …</p>
      </div>
      <RigRow
        v-for="(r, i) in waiting ? [] : rods"
        :key="i"
        :index="i"
        :rod="r.rod"
        :next="r.changes[0] ?? null"
        :stand="r.stand"
        :order="r.order"
        :owned="ownedOf(r.rod.lure)"
        :who="crew.length > 1 ? (crew[i] ?? '') : ''"
        :full="full"
        :open="open === i"
        :alone="rods.length === 1"
        @open="open = open === i ? null : i"
        @change="rod => change(i, rod)"
        @without="without(i)"
      />
      <p class="flex flex-wrap items-center gap-3 px-4 py-3">
        <button v-if="rods.length < MOST_RODS" type="button" class="quiet" @click="another">Another rod</button>
        <button type="button" class="quiet" :aria-pressed="full" @click="full = !full">
          {{ full ? 'Leave line and size out' : 'Line and size' }}
        </button>
        <NuxtLink to="/?open=lures" class="quiet flex items-center">Which lure here?</NuxtLink>
        <span class="min-w-48 flex-1 text-ink2">Tap a lure to change it. What the box has is used first.</span>
      </p>
    </div>
    <div class="flex flex-col gap-4 p-4">
      <AboardRows v-model="crew" :most="MOST_RODS">
        Each has a column under the rod of the same place: one tap says what and who. Two start on two colours: one
        boat, one water, and the day itself sets them side by side.
      </AboardRows>
      <label class="flex min-h-11 items-center gap-3 leading-tight">
        <input v-model="castsCounted" type="checkbox" class="size-6 shrink-0 accent-ink" />
        <span>
          Every cast will be tapped
          <span class="block text-note text-ink2">Then casts are compared, not minutes. Leave it off otherwise.</span>
        </span>
      </label>
      <p v-if="failed" role="alert">The ranking could not be worked out; the rods can be rigged by hand.</p>
      <p class="text-ink2">Works without a signal; times are this device’s.</p>
      <button
        type="button"
        class="action disabled:opacity-60"
        :disabled="waiting || unsettled || !rods.length || records.isMadeUp"
        @click="begin"
      >
        Begin{{ waters.current ? ` at ${waters.current.name}` : '' }}
      </button>
      <p v-if="records.isMadeUp" role="status">These things are made up. Take them away to begin a trip of your own.</p>
      <div v-if="line">
        <h3 class="figure border-b border-ink pb-1 text-value font-bold">Line</h3>
        <p class="pt-1 leading-snug">{{ line }}</p>
      </div>
      <div v-if="cautions.length">
        <h3 class="figure border-b border-ink pb-1 text-value font-bold">Mind these</h3>
        <p v-for="c in cautions" :key="c" class="border-b border-hair py-1.5 leading-snug">{{ c }}</p>
      </div>
    </div>
  </section>
</template>
