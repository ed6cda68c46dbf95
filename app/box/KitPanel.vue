<script setup lang="ts">
import { computed } from 'vue'
import { knownFinish } from '#core/box/own'
import type { KitAnswer, KitSize } from '#core/kit/kit'
import type { BoxLure } from './store'
import HandFigure from '~/figures/HandFigure.vue'
import { numberWord } from '~/words/numbers'
import { LURE_SHORT } from '~/words/options'

/** The fewest lures that cover what is fished, what is missing, and what could stay in the shop. */
const props = defineProps<{
  kit: KitAnswer | null
  progress: { share: number; gap: number | null } | null
  stopped: boolean
  lures: readonly BoxLure[]
  lookCount: number
  /** The size of kit that is looked at. */
  chosen: KitSize | null
  /** What the kit is for, in words. */
  fished: string
}>()
const emit = defineEmits<{ size: [n: number]; stop: []; start: []; waters: []; buy: [finishId: string] }>()
const of100 = (share: number) => Math.round(100 * share)
const nameOf = (id: string) => props.lures.find(l => l.finish?.id === id)?.body.name ?? knownFinish(id)?.name ?? id
const repeats = computed(() => props.lures.length - props.lookCount)
const word = (n: number) => numberWord(n, 'none')
const gaps = computed(() => (props.kit?.gaps ?? []).filter(g => of100(g.gain) >= 1).slice(0, 3))
const never = computed(() => props.kit?.never ?? [])
const BAR_PX = 62
</script>

<template>
  <div class="p-4">
    <h2 class="figure text-title font-bold">
      {{ lures.length }} {{ lures.length === 1 ? 'lure' : 'lures' }}, {{ lookCount }}
      {{ lookCount === 1 ? 'look' : 'looks' }}
    </h2>
    <p class="mt-1 leading-snug">
      <template v-if="repeats > 0">
        {{ word(repeats) }} of these {{ repeats === 1 ? 'repeats' : 'repeat' }} another one today, at this distance.
      </template>
      <template v-else>Each of these is another to the fish today.</template>
    </p>
    <div v-if="progress" class="mt-3" role="status">
      <p class="flex items-center gap-3">
        <progress class="h-2 flex-1" :value="progress.share" max="1" aria-label="Kits worked out" />
        <button type="button" class="min-h-11 px-2 underline" @click="emit('stop')">Stop</button>
      </p>
      <p class="text-note text-ink2">
        {{
          progress.gap === null
            ? 'Ranking your waters through the year.'
            : `Proving the best kits: they may still gain ${(100 * progress.gap).toFixed(2)} of 100.`
        }}
      </p>
    </div>
    <p v-else-if="stopped" class="mt-3">
      Stopped.
      <button type="button" class="min-h-11 underline" @click="emit('start')">Go on</button>
    </p>
    <template v-if="kit && chosen">
      <h3 class="figure mt-4 flex items-baseline justify-between border-t border-ink pt-2 text-value font-bold">
        {{ word(chosen.finishIds.length) }}-lure kit
        <span class="font-sans text-note font-normal">of your usual waters covered, in 100</span>
      </h3>
      <div class="mt-2 flex items-end border-b-2 border-ink" role="radiogroup" aria-label="Size of the kit">
        <button
          v-for="c in kit.curve"
          :key="c.size"
          type="button"
          role="radio"
          class="figure flex min-w-0 flex-1 flex-col justify-end border border-page text-note font-bold"
          :aria-checked="c.size === chosen.size"
          :aria-label="`${c.size}: covers ${of100(c.cover)} of 100${c.proven ? '' : ', not proven'}`"
          style="height: 84px"
          @click="emit('size', c.size)"
        >
          <span
            class="block w-full border-2 border-ink pt-0.5 text-center"
            :class="c.size <= chosen.size ? 'bg-ink text-page' : ''"
            :style="{ height: `${20 + BAR_PX * c.cover}px` }"
          >
            {{ of100(c.cover) }}
          </span>
        </button>
      </div>
      <div class="figure flex text-note" aria-hidden="true">
        <span v-for="c in kit.curve" :key="c.size" class="flex-1 text-center">{{ c.size }}</span>
      </div>
      <ol class="mt-2 grid grid-cols-3 gap-1" aria-label="The kit">
        <li v-for="(id, i) in chosen.finishIds" :key="id" class="min-w-0">
          <span class="relative block h-15 bg-plate p-0.5">
            <span class="figure absolute top-0 left-0 bg-ink px-1.5 font-bold text-page">{{ i + 1 }}</span>
            <HandFigure v-if="knownFinish(id)" :finish="knownFinish(id)!" :line="2.4" />
          </span>
          <span class="block truncate text-note">{{ nameOf(id) }}</span>
        </li>
      </ol>
      <p class="mt-1 text-note text-ink2">
        {{ chosen.proven ? 'Proven: no kit of this size covers more.' : 'The best found; not proven.' }}
        For {{ fished }}.
        <button type="button" class="min-h-11 underline" @click="emit('waters')">Choose what for</button>
      </p>
      <h3 class="figure mt-3 flex items-baseline justify-between border-t border-ink pt-2 text-value font-bold">
        Gaps
        <span class="font-sans text-note font-normal">waters in 100 it would add</span>
      </h3>
      <p v-if="!gaps.length" class="text-ink2">Nothing in the catalogue would add one water in a hundred.</p>
      <ul>
        <li v-for="g in gaps" :key="g.finishId" class="border-t border-hair first:border-t-0">
          <button
            type="button"
            class="flex min-h-14 w-full items-center gap-3 text-left"
            @click="emit('buy', g.finishId)"
          >
            <span class="block h-10 w-20 shrink-0 opacity-70">
              <HandFigure v-if="knownFinish(g.finishId)" :finish="knownFinish(g.finishId)!" :line="2.4" />
            </span>
            <span class="min-w-0 flex-1 leading-tight">
              <b class="figure block">{{ nameOf(g.finishId) }}</b>
              <span class="text-note text-ink2">{{ LURE_SHORT[knownFinish(g.finishId)!.lure] }}</span>
            </span>
            <b class="figure text-lead">+{{ (100 * g.gain).toFixed(1) }}</b>
          </button>
        </li>
      </ul>
      <template v-if="never.length">
        <h3 class="figure mt-3 border-t border-ink pt-2 text-value font-bold">Could stay at home</h3>
        <p class="leading-snug">
          In none of these waters one of the three best, nor the same to the fish as one:
          {{ never.map(nameOf).join(', ') }}.
        </p>
      </template>
    </template>
    <p class="mt-3 text-note text-ink2">Scores say what suits the water, not how many fish bite.</p>
  </div>
</template>
