<script setup lang="ts">
import { computed } from 'vue'
import { knownFinish } from '#core/box/own'
import { finishById } from '#core/lure/finish'
import type { ShareInput } from '#shared/schema/share'
import { useTaughtStore } from '~/records/taught'
import HandFigure from '~/figures/HandFigure.vue'
import ShareButton from '~/yours/ShareButton.vue'
import { useDayStore } from './store'
import type { PlanShown, SpellShown } from './work'
import { clock } from '~/reading/clock'
import { numberWord } from '~/words/numbers'
import { LURE_SHORT, cautionName } from '~/words/options'

/** What to carry for the day, what it would lose without each, and what to mind. */
const taught = useTaughtStore()
const props = defineProps<{
  plan: PlanShown | null
  progress: number
  kept: boolean
  picked: { lane: number; spell: SpellShown; fromMin: number; toMin: number } | null
}>()
defineEmits<{
  keep: []
  print: [size: 'a4' | 'pocket']
  calendar: []
  json: []
  cancel: []
}>()
const day = useDayStore()
/** What a link to this plan holds: finishes of the catalogue, since those of one's own are nobody else's to look up. */
const sharing = (): ShareInput => {
  const asked = JSON.parse(JSON.stringify(day.request)) as typeof day.request
  const lures = asked.lures.map(({ finishIds, ...lane }) => {
    const known = finishIds?.filter(id => finishById(id)) ?? []
    return known.length ? { ...lane, finishIds: known } : lane
  })
  return { kind: 'plan', asked: { ...asked, lures } }
}
const title = computed(() => {
  const n = props.plan?.pack.length ?? 0
  return `${numberWord(n, 'no')} ${n === 1 ? 'lure' : 'lures'} for the day`
})
const most = computed(() => Math.max(0.1, ...(props.plan?.pack.map(p => p.lost) ?? [])))
const rows = computed(() =>
  (props.plan?.pack ?? []).map(p => {
    const only = props.plan!.pack.filter(q => q.lane === p.lane).length === 1
    const times = p.spells === 2 ? ', twice' : p.spells > 2 ? `, ${p.spells} times` : ''
    const hours = Number(p.hours.toFixed(1))
    return {
      ...p,
      finish: knownFinish(p.finishId),
      only,
      note: `${LURE_SHORT[day.set.lanes[p.lane]!.lure]}${times}, ${hours} h`,
    }
  }),
)
const pickedFinish = computed(() => props.picked && knownFinish(props.picked.spell.finishId))
const hoursOf = (c: { fromMin: number; toMin: number }) => `${clock(c.fromMin)} to ${clock(c.toMin)}`
</script>

<template>
  <div class="flex min-h-full flex-col">
    <div class="p-4">
      <template v-if="plan">
        <h2 class="figure text-title font-bold">{{ title }}</h2>
        <p class="mt-1 leading-snug">
          <b>{{ Math.round(plan.packed) }} of 100.</b>
          Carrying all {{ plan.finishes }} finishes scores 100, one colour a rod {{ Math.round(plan.oneEach) }}.
          <span class="text-ink2">This counts what suits the hour, not bites.</span>
        </p>
      </template>
      <h2 v-else class="figure text-title font-bold">The day is being worked out</h2>
      <!-- Its room is kept, so that nothing under a finger moves when it comes and goes. -->
      <div class="mt-2 flex h-11 items-center gap-3" :class="progress < 1 ? '' : 'invisible'">
        <progress class="h-2 flex-1 accent-(--ink)" :value="progress" max="1" aria-label="Lanes worked out" />
        <button type="button" class="min-h-11 px-2 underline" @click="$emit('cancel')">Stop</button>
      </div>
      <p v-if="taught.leans" class="border-b border-ink py-1 font-semibold">{{ taught.leanedWords }}</p>
      <section v-if="picked && pickedFinish" class="mt-3 border-2 border-ink p-2">
        <p class="text-note text-ink2">{{ LURE_SHORT[day.set.lanes[picked.lane]!.lure] }}, {{ hoursOf(picked) }}</p>
        <p class="figure text-value font-bold">{{ pickedFinish.name }}</p>
        <p class="leading-snug">{{ picked.spell.why }}</p>
      </section>
      <template v-if="plan">
        <p class="mt-3 flex justify-between border-b border-ink pb-1 text-note text-ink2">
          <span>In the hand</span>
          <span>what the day loses without it</span>
        </p>
        <ol>
          <li
            v-for="(p, i) in rows"
            :key="p.finishId"
            class="flex min-h-13 items-center gap-3 border-b border-hair py-1"
          >
            <span class="relative block h-11 w-22 shrink-0 bg-plate">
              <span
                :class="[
                  'figure absolute top-0 left-0 flex h-4.5 min-w-4.5 items-center justify-center bg-ink px-1',
                  'text-note font-bold text-page',
                ]"
              >
                {{ i + 1 }}
              </span>
              <HandFigure v-if="p.finish" :finish="p.finish" :line="2.4" />
            </span>
            <span class="min-w-0 flex-1 leading-tight">
              <b class="figure block text-name">{{ p.finish?.name }}</b>
              <span class="text-note text-ink2">{{ p.note }}</span>
            </span>
            <span v-if="p.only" class="text-right text-note leading-tight font-semibold">
              its only
              <br />
              colour
            </span>
            <span v-else class="figure w-16 text-right text-lead font-bold">
              −{{ p.lost.toFixed(1) }}
              <span
                class="ml-auto block h-1 bg-ink"
                :style="{ width: `${Math.max(3, (62 * p.lost) / most)}px` }"
                aria-hidden="true"
              />
            </span>
          </li>
        </ol>
        <template v-if="plan.cautions.length">
          <h3 class="figure mt-3 text-value font-bold">Mind these</h3>
          <ul>
            <li
              v-for="c in plan.cautions"
              :key="c.kind + c.fromMin + c.text"
              class="flex gap-3 border-t border-hair py-1.5 leading-snug"
            >
              <b class="figure w-13 shrink-0">{{ clock(c.fromMin) }}</b>
              <span>
                <b>{{ cautionName(c.kind) }}</b>
                to {{ clock(c.toMin) }}. {{ c.text }}
              </span>
            </li>
          </ul>
        </template>
      </template>
      <ShareButton v-if="plan" class="pt-4" words="Share this plan" :input="sharing" />
    </div>
    <div
      v-if="plan"
      class="sticky bottom-0 mt-auto grid grid-cols-2 gap-2 border-t border-hair bg-page p-4 max-[899px]:static"
    >
      <button type="button" class="action col-span-2" @click="$emit('keep')">
        {{ kept ? 'Kept. Keep it again' : `Pack these ${plan.pack.length}` }}
      </button>
      <NuxtLink v-if="kept" to="/log" class="quiet col-span-2 text-center font-semibold">Rig these</NuxtLink>
      <button type="button" class="quiet" @click="$emit('print', 'a4')">Print the day</button>
      <button type="button" class="quiet" @click="$emit('print', 'pocket')">Print for a pocket</button>
      <button type="button" class="quiet" @click="$emit('calendar')">Calendar file</button>
      <button type="button" class="quiet" @click="$emit('json')">Plan as JSON</button>
    </div>
  </div>
</template>
