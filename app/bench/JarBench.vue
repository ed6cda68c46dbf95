<script setup lang="ts">
import { computed, ref } from 'vue'
import { heldAgainstSun } from '#core/picture/heldAgainstSun'
import { finishById, finishesOf } from '#core/lure/finish'
import { clarityWord } from '#core/water/words'
import type { Family } from '#core/paintwork/families'
import { LINES, type LineId } from '#core/sight/line'
import { hex } from '#core/spectrum/colour'
import type { Request } from '#core/request/request'
import { JAR_SKIES, type JarSky, MOST_DROPS, useBenchStore } from './store'
import { type BenchApi, useAnswerTo } from './useBench'
import Choice from '~/common/Choice.vue'
import JarFigure from '~/figures/JarFigure.vue'
import LureFigure from '~/figures/LureFigure.vue'
import { vThroughWater } from '~/figures/throughWater'
import { NIGHT_WATER, labelInk, redTone } from '~/figures/tone'
import { useSettingsStore } from '~/settings/store'
import { useUnits } from '~/settings/useUnits'
import { JAR_WORDS, TINT_OPTIONS } from '~/words/options'

/** Five jars from clear to dark of one tint: the same two lures and two lines in each, under one sky. */
const props = defineProps<{ api: BenchApi; request: Request; phone: boolean }>()
const bench = useBenchStore()
const settings = useSettingsStore()
const { lengthText } = useUnits()
const red = computed(() => settings.theme === 'night')
const options = computed(() => finishesOf(props.request.lure).map(f => ({ value: f.id, words: f.name })))
/** Two lures of the type that is fished: those chosen, else a pale and a dark one. */
const pair = computed(() => {
  const ids = options.value.map(o => o.value)
  const mine = bench.set.jarLures.filter(id => ids.includes(id))
  const by = (family: Family) => finishesOf(props.request.lure).find(f => f.families[0] === family)?.id
  return [mine[0] ?? by('white') ?? ids[0]!, mine[1] ?? by('black') ?? ids[1]!]
})
const setLure = (i: number, id: string) => bench.change({ jarLures: pair.value.with(i, id) })
const setLine = (i: number, id: LineId) => bench.change({ jarLines: bench.set.jarLines.with(i, id) })
const lineOptions = (Object.keys(LINES) as LineId[]).map(value => ({ value, words: LINES[value].words }))
const skyOptions = (Object.keys(JAR_SKIES) as JarSky[]).map(value => ({ value, words: JAR_SKIES[value].words }))
const watchers = [
  { value: 'fish' as const, words: 'the fish' },
  { value: 'diver' as const, words: 'a diver' },
]
const { answer, failed, run } = useAnswerTo(props.api.jars, () => {
  const { sky } = { sky: undefined, ...JAR_SKIES[bench.set.jarSky] }
  const light = sky
    ? { sky, sunElevationDeg: (JAR_SKIES[bench.set.jarSky] as { sunElevationDeg: number }).sunElevationDeg }
    : props.request.light
  return {
    request: {
      ...props.request,
      light,
      water: { ...props.request.water, tint: bench.set.jarTint },
      background: 'open',
    } as Request,
    ids: pair.value,
    lines: bench.set.jarLines,
    drops: bench.set.drops,
    watcher: bench.set.watcher,
  }
})
const sun = ref(false)
const held = (id: string) => {
  const parts = Object.fromEntries(Object.entries(heldAgainstSun(finishById(id)!)).map(([p, c]) => [p, hex(c!)]))
  return { distanceM: 0, shape: true, fine: 1, water: '#fff6d8', parts }
}
const water = (colour: string) => (red.value ? redTone(colour, NIGHT_WATER) : colour)
const ink = (colour: string) => (red.value ? 'var(--ink)' : labelInk(colour))
const lureName = (id: string) => finishById(id)!.name
</script>

<template>
  <section class="p-3" aria-label="The jars">
    <div class="flex flex-wrap items-center gap-x-4 gap-y-1">
      <h2 class="figure text-lead font-bold">The jars</h2>
      <fieldset class="flex">
        <legend class="off">Tint of the jars</legend>
        <label
          v-for="t in TINT_OPTIONS"
          :key="t.value"
          class="flex w-14 cursor-pointer flex-col items-center text-note has-focus-visible:outline-3"
          :class="bench.set.jarTint === t.value ? 'font-extrabold underline underline-offset-4' : ''"
        >
          <input
            type="radio"
            name="jar-tint"
            class="off"
            :value="t.value"
            :checked="bench.set.jarTint === t.value"
            :aria-label="t.words"
            @change="bench.change({ jarTint: t.value })"
          />
          <JarFigure :tint="t.value" :strong="bench.set.jarTint === t.value" />
          {{ JAR_WORDS[t.value] }}
        </label>
      </fieldset>
      <Choice
        bare
        label="Sky"
        :value="bench.set.jarSky"
        :options="skyOptions"
        @change="v => bench.change({ jarSky: v })"
      />
      <Choice
        bare
        label="Seen by"
        :value="bench.set.watcher"
        :options="watchers"
        @change="v => bench.change({ watcher: v })"
      />
      <button
        type="button"
        class="quiet"
        :disabled="bench.set.drops >= MOST_DROPS"
        @click="bench.change({ drops: bench.set.drops + 1 })"
      >
        A drop of tint{{ bench.set.drops ? ` (${bench.set.drops})` : '' }}
      </button>
      <button v-if="bench.set.drops" type="button" class="quiet" @click="bench.change({ drops: 0 })">Fresh jars</button>
      <button type="button" class="quiet" :aria-pressed="sun" @click="sun = !sun">
        {{ sun ? 'Back into the jars' : 'Hold them against the sun' }}
      </button>
    </div>
    <div class="my-2 grid gap-2" :class="phone ? 'grid-cols-2' : 'grid-cols-4'">
      <Choice
        v-for="(id, i) in pair"
        :key="`lure${i}`"
        bare
        :label="i ? 'Lower lure' : 'Upper lure'"
        :value="id"
        :options="options"
        @change="v => setLure(i, v)"
      />
      <Choice
        v-for="(id, i) in bench.set.jarLines"
        :key="`line${i}`"
        bare
        :label="i ? 'Second line' : 'First line'"
        :value="id"
        :options="lineOptions"
        @change="v => setLine(i, v)"
      />
    </div>
    <p v-if="failed" role="alert">
      The jars could not be worked out just now.
      <button type="button" class="min-h-11 underline" @click="run">Try again</button>
    </p>
    <div v-if="sun" class="grid gap-3 sm:grid-cols-2">
      <figure v-for="id in pair" :key="id" class="p-3" :style="{ background: red ? 'var(--sunk)' : '#fff6d8' }">
        <span v-through-water="{ seen: held(id), red }" class="block h-24">
          <LureFigure :lure="request.lure" through :red="red" />
        </span>
        <figcaption class="mt-1 text-note" :class="red ? '' : 'text-black'">
          {{ lureName(id) }}: what shines is what light passes; what stays black is solid.
        </figcaption>
      </figure>
    </div>
    <ol v-else-if="answer" class="flex gap-3 overflow-x-auto border-b-4 border-ink" tabindex="0" aria-label="Five jars">
      <li v-for="j in answer" :key="j.discM" class="min-w-33 flex-1">
        <div class="border-2 border-ink">
          <div class="h-2 border-b-2 border-ink bg-page" />
          <div class="relative h-40" :style="{ background: water(j.water), color: ink(j.water) }">
            <span
              v-for="(l, k) in j.lines"
              :key="l.id"
              class="absolute top-0 h-full w-0.5 bg-current"
              :style="{ right: `${10 + 14 * k}px`, opacity: l.goneM > 0.3 ? 0.9 : 0.12 }"
              aria-hidden="true"
            />
            <div
              v-for="l in j.lures"
              :key="l.finishId"
              v-through-water="{ seen: l.seen, red }"
              class="flex h-20 w-[78%] items-center p-2"
            >
              <LureFigure v-if="l.seen.shape" :lure="request.lure" through :red="red" />
              <b v-else class="figure mx-auto">gone</b>
            </div>
          </div>
        </div>
        <p class="figure pt-1 text-note leading-tight">
          <b class="block">{{ clarityWord(j.discM) }}, disc {{ lengthText(j.discM) }}</b>
          <span v-for="l in j.lures" :key="l.finishId" class="block">
            {{ lureName(l.finishId) }} {{ lengthText(l.goneM) }}
          </span>
          <span v-for="l in j.lines" :key="l.id" class="block text-ink2">
            {{ LINES[l.id].words }} {{ lengthText(l.goneM) }}
          </span>
        </p>
      </li>
    </ol>
    <p v-else class="min-h-65" aria-busy="true">Filling the jars …</p>
    <p class="mt-1 text-note text-ink2">A foot of water between you and them; figures are how far off each is lost.</p>
  </section>
</template>
