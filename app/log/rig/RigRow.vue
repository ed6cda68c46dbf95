<script setup lang="ts">
import { computed } from 'vue'
import { LURES, type LureId } from '#core/lure/types'
import { finishesOf } from '#core/lure/finish'
import type { Rod } from '#shared/schema/record'
import { useFinish } from '~/box/useFinish'
import { clock } from '~/reading/clock'
import { LURE_OPTIONS, cap } from '~/words/options'
import Choice from '~/common/Choice.vue'
import LineField from '~/common/LineField.vue'
import HandFigure from '~/figures/HandFigure.vue'
import { type RigRod, type Stand, drawerOf } from './rig'
import type { RigOrder } from './work'

/** A rod drawn with its day: the lure in hand by the reel, the plan's change towards the tip, and its drawer. */
const props = defineProps<{
  index: number
  rod: Rod
  next: RigRod['changes'][number] | null
  stand: Stand | null
  order: RigOrder | null
  owned: ReadonlySet<string>
  who: string
  full: boolean
  open: boolean
  alone: boolean
}>()
const emit = defineEmits<{ open: []; change: [rod: Rod]; without: [] }>()
const { finishOf, finishName } = useFinish()
const name = computed(() => `rod ${props.index + 1}`)
const drawer = computed(() => (props.order ? drawerOf(props.order, props.owned, props.rod.finishId) : []))
const mine = computed(() => drawer.value.filter(d => d.owned))
const others = computed(() => drawer.value.filter(d => !d.owned))
const boxed = computed(() => (props.owned.size ? `${props.owned.size} in the box` : ''))
const standWords = computed(() => {
  const { stand } = props
  if (!stand?.insteadOf) return ''
  const wanted = finishName(stand.insteadOf)
  return stand.same
    ? `Same to fish as ${wanted}, which you have not.`
    : `In the place of ${wanted}, which you have not: ${stand.costs} points less of 100.`
})
const setLure = (lure: LureId) => emit('change', { ...props.rod, lure, finishId: finishesOf(lure)[0]!.id })
const setFinish = (finishId: string) => emit('change', { ...props.rod, finishId })
const WORDS = [
  { key: 'line', label: 'Line', like: 'Line, like 10 lb braid' },
  { key: 'size', label: 'Size', like: 'Size, like 5 in or 3/8 oz' },
] as const
</script>

<template>
  <div class="border-b border-ink">
    <div class="relative grid min-h-31 grid-cols-[minmax(96px,170px)_minmax(0,230px)_minmax(0,1fr)] gap-3 px-4 py-3">
      <svg
        class="pointer-events-none absolute inset-x-4 top-13 h-6 w-[calc(100%-2rem)]"
        viewBox="0 0 660 24"
        preserveAspectRatio="none"
        aria-hidden="true"
      >
        <path d="M0 8h98v7H0ZM98 9.5L660 11.2L98 13.5Z" fill="var(--ink)" />
        <circle cx="66" cy="19" r="4.5" fill="var(--page)" stroke="var(--ink)" stroke-width="2" />
        <path d="M230 12v4M330 12v4M450 12v3M545 12v3M610 12v2" stroke="var(--ink)" />
      </svg>
      <div class="min-w-0 leading-tight">
        <p class="figure text-value font-bold">{{ cap(LURES[rod.lure].words) }}</p>
        <p class="truncate text-ink2">{{ boxed }}</p>
        <p v-if="who" class="mt-12 inline-block bg-ink px-3 py-1.5 font-bold text-page">{{ who }}</p>
      </div>
      <div class="min-w-0">
        <button
          type="button"
          class="relative block h-20 w-full bg-plate p-1"
          :class="open ? 'outline-3 outline-ink' : ''"
          :aria-expanded="open"
          :aria-label="`Change ${name}: ${finishName(rod.finishId)}`"
          @click="$emit('open')"
        >
          <HandFigure v-if="finishOf(rod.finishId)" :finish="finishOf(rod.finishId)!" :line="2" />
        </button>
        <p class="truncate text-name font-bold">{{ finishName(rod.finishId) }}</p>
        <p v-if="standWords" class="leading-tight text-ink2">{{ standWords }}</p>
      </div>
      <div v-if="next" class="min-w-0">
        <p class="figure text-value leading-none font-bold">{{ clock(next.atMin) }}</p>
        <span class="relative mt-1 block h-14 max-w-40 border border-dashed border-ink bg-page p-1">
          <HandFigure v-if="finishOf(next.finishId)" :finish="finishOf(next.finishId)!" :line="2.4" />
        </span>
        <p class="truncate font-semibold">{{ finishName(next.finishId) }}</p>
      </div>
    </div>
    <div v-if="open || full" class="flex flex-wrap items-center gap-3 bg-sunk px-4 py-2">
      <Choice v-if="open" :label="`Lure of ${name}`" :value="rod.lure" :options="LURE_OPTIONS" @change="setLure" />
      <LineField
        v-for="w in full ? WORDS : []"
        :key="w.key"
        :label="`${w.label} of ${name}`"
        :value="rod[w.key] ?? ''"
        :like="w.like"
        :most="40"
        @change="text => $emit('change', { ...rod, [w.key]: text || undefined })"
      />
      <button v-if="!alone" type="button" class="min-h-11 px-2 underline" @click="$emit('without')">
        Without {{ name }}
      </button>
    </div>
    <div v-if="open" class="drawers bg-sunk px-4 pb-3">
      <section
        v-for="(of, k) in [mine, others]"
        v-show="of.length"
        :key="k"
        :aria-label="k ? 'Not in it' : 'In your box'"
      >
        <p class="border-b border-hair py-1">
          <b>{{ k ? (mine.length ? 'Not in it' : 'All colours') : 'In your box' }}</b>
          <span v-if="!k || !mine.length" class="ml-3 text-ink2">points off the first, of 100</span>
        </p>
        <ul class="flex gap-3 overflow-x-auto py-2">
          <li v-for="d in of" :key="d.finishId" class="w-25 shrink-0">
            <button
              type="button"
              class="block w-full text-left"
              :aria-pressed="d.finishId === rod.finishId"
              @click="setFinish(d.finishId)"
            >
              <span
                class="block h-12 bg-plate p-1"
                :class="[
                  d.finishId === rod.finishId ? 'outline-3 outline-ink' : '',
                  d.owned ? '' : 'border border-dashed border-ink',
                ]"
              >
                <HandFigure v-if="finishOf(d.finishId)" :finish="finishOf(d.finishId)!" :line="3" />
              </span>
              <span class="narrow line-clamp-2 leading-tight font-semibold">{{ finishName(d.finishId) }}</span>
              <span class="block text-note">
                {{
                  d.finishId === rod.finishId ? 'on it' : d.same ? 'same to fish' : d.costs ? `−${d.costs}` : 'as good'
                }}
              </span>
            </button>
          </li>
        </ul>
      </section>
    </div>
  </div>
</template>
