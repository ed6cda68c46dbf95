<script setup lang="ts">
import { computed } from 'vue'
import { FORAGE, type Forage } from '#core/prey/forage'
import { CLUES, type Clue } from '#core/prey/odds'
import { useReadingStore } from '~/reading/store'
import { CLUE_OPTIONS, FORAGE_OPTIONS, cap } from '~/words/options'
import type { ScreenModel } from '~/water/model'
import CheckGrid from '~/common/CheckGrid.vue'

/** What they are eating: the odds, the clues that move them, and the angler's own word. */
const props = defineProps<{ screen: ScreenModel | null }>()
const store = useReadingStore()
const s = computed(() => store.reading)
const odds = computed(() =>
  (props.screen?.prey ?? [])
    .filter(p => p.share >= 0.02)
    .map(p => ({ ...p, words: cap(FORAGE[p.kind as Forage].plural) })),
)
const moved = computed(() => props.screen?.preyMoved ?? [])
function toggleClue(c: Clue) {
  store.set({ clues: s.value.clues.includes(c) ? s.value.clues.filter(x => x !== c) : [...s.value.clues, c] })
}
function toggleFood(kind: Forage) {
  const kinds = s.value.forage.map(f => f.kind)
  const next = kinds.includes(kind) ? kinds.filter(k => k !== kind) : [...kinds, kind]
  store.set({ forage: next.map(k => ({ kind: k, share: 1 / next.length })) })
}
</script>

<template>
  <div class="flex flex-col gap-5">
    <section>
      <h3 class="figure mb-1 text-value font-bold">Likely food now</h3>
      <ul>
        <li v-for="o in odds" :key="o.kind" class="flex items-center gap-2">
          <span class="w-32">{{ o.words }}</span>
          <span class="h-2 bg-ink" :style="{ width: `${o.share * 160}px` }" aria-hidden="true" />
          <span class="figure font-semibold">{{ Math.round(o.share * 100) }} %</span>
        </li>
      </ul>
      <p v-for="m in moved" :key="m.clue" class="mt-1 text-ink2">
        {{ cap(CLUES[m.clue as Clue].words) }}: {{ FORAGE[m.kind as Forage].words }} from
        {{ Math.round(m.from * 100) }} to {{ Math.round(m.to * 100) }} %.
      </p>
    </section>
    <fieldset>
      <legend class="figure mb-1 text-value font-bold">What have you seen?</legend>
      <label v-for="c in CLUE_OPTIONS" :key="c.value" class="flex min-h-11 items-center gap-3">
        <input
          type="checkbox"
          class="size-5 accent-ink"
          :checked="s.clues.includes(c.value)"
          @change="toggleClue(c.value)"
        />
        {{ c.words }}
      </label>
    </fieldset>
    <fieldset>
      <legend class="figure mb-1 text-value font-bold">I know what they are on</legend>
      <p class="mb-1 text-ink2">Your word replaces the season's guess, in equal shares.</p>
      <CheckGrid :options="FORAGE_OPTIONS" :on="k => s.forage.some(x => x.kind === k)" @turn="toggleFood" />
    </fieldset>
  </div>
</template>
