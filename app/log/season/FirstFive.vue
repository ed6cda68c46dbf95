<script setup lang="ts">
import { computed } from 'vue'
import type { Lean } from '#core/ranking/judge'
import { useFinish } from '~/box/useFinish'
import { useReadingStore } from '~/reading/store'
import { useRigAsk } from '~/log/rig/useRigAsk'
import { useRigOrders } from '~/log/rig/useRigOrders'
import { LURE_SHORT, cap } from '~/words/options'
import HandFigure from '~/figures/HandFigure.vue'

/** Water's first five as the engine has them, and as they would stand leaned by what the log has earned. */
const props = defineProps<{ shifts: Lean }>()
const reading = useReadingStore()
const { finishOf, finishName } = useFinish()
const askOf = useRigAsk()
const lure = computed(() => reading.reading.lure)
const { orders: asBuilt } = useRigOrders(() => [{ ...askOf(lure.value), lean: {} }])
const { orders: leaned } = useRigOrders(() => [{ ...askOf(lure.value), lean: props.shifts }])
const FIVE = 5
const [ROW, GAP] = [40, 60] as const
const before = computed(() => asBuilt.value[lure.value]?.order.slice(0, FIVE) ?? [])
const after = computed(() => leaned.value[lure.value]?.order.slice(0, FIVE) ?? [])
const links = computed(() =>
  after.value.flatMap((f, to) => {
    const from = before.value.findIndex(b => b.finishId === f.finishId)
    return from < 0 ? [] : [{ id: f.finishId, from, to }]
  }),
)
const moved = computed(() => links.value.some(l => l.from !== l.to) || links.value.length < FIVE)
const sides = computed(() => [
  { words: 'as built', list: before.value },
  { words: 'with your log', list: after.value },
])
const y = (i: number) => ROW * (i + 0.5)
</script>

<template>
  <section v-if="before.length && after.length" aria-label="Water’s first five">
    <h3 class="figure text-value font-bold">If it counted: Water’s first five</h3>
    <p class="text-ink2">
      {{ cap(LURE_SHORT[lure]) }}, as Water stands now.
      {{ moved ? '' : 'The log moves none of them yet.' }}
    </p>
    <div class="mt-1 flex items-end">
      <div v-for="(s, i) in sides" :key="s.words" class="min-w-0 flex-1" :class="i ? 'order-3' : ''">
        <p class="text-note text-ink2">{{ s.words }}</p>
        <ol>
          <li v-for="(f, n) in s.list" :key="f.finishId" class="flex h-10 items-center gap-2">
            <b class="figure w-4 text-value">{{ n + 1 }}</b>
            <span class="block h-8 w-16 shrink-0 bg-plate p-0.5 max-sm:hidden">
              <HandFigure v-if="finishOf(f.finishId)" :finish="finishOf(f.finishId)!" :line="2.6" />
            </span>
            <span class="truncate">{{ finishName(f.finishId) }}</span>
          </li>
        </ol>
      </div>
      <svg :width="GAP" :height="ROW * FIVE" class="order-2 shrink-0" aria-hidden="true" fill="none">
        <path
          v-for="l in links"
          :key="l.id"
          :d="`M4 ${y(l.from)}C${GAP / 2} ${y(l.from)} ${GAP / 2} ${y(l.to)} ${GAP - 4} ${y(l.to)}`"
          stroke="var(--ink)"
          :stroke-width="l.from === l.to ? 1.2 : 4"
        />
      </svg>
    </div>
  </section>
</template>
