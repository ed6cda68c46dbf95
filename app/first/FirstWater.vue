<script setup lang="ts">
import { computed, ref } from 'vue'
import { useUnits } from '~/settings/useUnits'
import { useSettingsStore } from '~/settings/store'
import { useAnswers } from '~/water/useScreen'
import { JAR_WORDS, TINT_OPTIONS } from '~/words/options'
import { waterColour } from '~/figures/waterColour'
import JarFigure from '~/figures/JarFigure.vue'
import { WHITE_M, useFirstStore } from './store'

/** What colour the water is, by jars; and where a white lure let down is lost, by what is at hand to measure with. */
const first = useFirstStore()
const settings = useSettingsStore()
const { water } = useAnswers()
const { lengthText, lengthNumber, length } = useUnits()
/** What most have with them to measure by, m: a rod is some 2.1 m. */
const FLAGS = [
  { words: 'a hand', m: 0.18 },
  { words: 'an elbow', m: 0.45 },
  { words: 'half the rod', m: 1.07 },
  { words: 'the whole rod', m: 2.13 },
  { words: 'two rods', m: 4.27 },
] as const
const ROD_M = 2.13
const [LEAST, MOST] = WHITE_M
/** Shallow depths, which decide most, get the more room. */
const shareOf = (m: number) => Math.sqrt(m / MOST)
const top = (share: number) => `${(100 * share).toFixed(2)}%`
const COLOURS = [0, 0.05, 0.15, 0.3, 0.5, 0.75, 1]
const tone = computed(() =>
  first.told.tint
    ? COLOURS.map(s => `${waterColour(water.value?.column, s * s * MOST, settings.theme)} ${100 * s}%`).join()
    : 'var(--sunk),var(--hair)',
)
const box = ref<HTMLElement | null>(null)
const tellAt = (m: number) => first.tell({ whiteM: Number(Math.min(MOST, Math.max(LEAST, m)).toFixed(2)) })
function drag(e: PointerEvent) {
  if (!(e.buttons & 1)) return
  const { top: y, height } = box.value!.getBoundingClientRect()
  tellAt(MOST * Math.max(0, (e.clientY - y) / height) ** 2)
}
const STEPS: Record<string, number> = { ArrowDown: 1.08, ArrowUp: 1 / 1.08, PageDown: 1.4, PageUp: 1 / 1.4 }
function key(e: KeyboardEvent) {
  const by = STEPS[e.key]
  if (!by || first.told.whiteM === null) return
  e.preventDefault()
  tellAt(first.told.whiteM * by)
}
const chosen = computed(() => FLAGS.find(f => f.m === first.told.whiteM) ?? null)
const ink = computed(() => (first.told.tint ? 'text-white' : 'text-ink'))
</script>

<template>
  <div class="flex min-h-0 flex-col">
    <fieldset class="shrink-0 bg-sky px-4 pt-2 pb-3" aria-labelledby="first-colour">
      <h2 id="first-colour" class="figure text-lead font-bold">What colour is your water?</h2>
      <div class="flex max-w-120 justify-between pt-1">
        <label
          v-for="o in TINT_OPTIONS"
          :key="o.value"
          class="figure flex min-w-12 cursor-pointer flex-col items-center text-name"
          :class="first.told.tint === o.value ? 'font-bold' : ''"
          :title="`${o.words}: ${o.note}`"
        >
          <input
            type="radio"
            name="first-tint"
            class="peer off"
            :value="o.value"
            :checked="first.told.tint === o.value"
            :aria-label="`${JAR_WORDS[o.value]}: ${o.note}`"
            @change="first.tell({ tint: o.value })"
          />
          <span :class="first.told.tint === o.value ? 'border-b-4 border-ink' : 'border-b-4 border-transparent'">
            {{ JAR_WORDS[o.value] }}
          </span>
          <JarFigure
            :tint="o.value"
            :strong="first.told.tint === o.value"
            class="mt-1 h-16 w-10 peer-focus-visible:outline-3 max-sm:h-12 max-sm:w-8"
          />
        </label>
      </div>
    </fieldset>
    <div role="group" aria-labelledby="first-white" class="flex min-h-90 flex-1 max-sm:min-h-76 flex-col">
      <h2 id="first-white" class="figure bg-sky px-4 pb-2 text-lead font-bold">
        Let a white lure down. Where do you lose it?
      </h2>
      <div
        ref="box"
        class="relative min-h-0 flex-1 cursor-ns-resize touch-none border-t-2 border-ink"
        :class="ink"
        :style="{ background: `linear-gradient(${tone})` }"
        @pointerdown="drag"
        @pointermove="drag"
      >
        <div
          class="absolute top-0 left-[44%] w-1.5 bg-current"
          :style="{ height: top(shareOf(ROD_M)) }"
          aria-hidden="true"
        />
        <div
          v-if="first.range && first.told.whiteM !== null"
          class="absolute right-[58%] left-2 flex items-center justify-end gap-2"
          :style="{
            top: top(shareOf(first.range.low)),
            height: top(shareOf(Math.min(MOST, first.range.high)) - shareOf(first.range.low)),
          }"
        >
          <span class="figure text-right text-bar leading-tight">
            {{ lengthNumber(first.range.low) }} to {{ lengthText(first.range.high) }} will do
          </span>
          <span class="h-full w-2 shrink-0 border-y-2 border-r-2 border-current" aria-hidden="true" />
        </div>
        <div
          v-if="first.told.whiteM !== null"
          role="slider"
          tabindex="0"
          aria-orientation="vertical"
          aria-label="Depth at which a white lure is lost"
          :aria-valuemin="lengthNumber(LEAST)"
          :aria-valuemax="lengthNumber(MOST)"
          :aria-valuenow="lengthNumber(first.told.whiteM)"
          :aria-valuetext="lengthText(first.told.whiteM)"
          class="absolute left-[44%] -mt-5.5 -ml-5 flex h-11 w-11 items-center justify-center"
          :style="{ top: top(shareOf(first.told.whiteM)) }"
          @keydown="key"
        >
          <span class="h-5 w-5 rounded-full border-3 border-ink bg-white" />
        </div>
        <svg
          class="pointer-events-none absolute inset-y-0 left-[44%] h-full w-[10%]"
          viewBox="0 0 100 100"
          preserveAspectRatio="none"
          aria-hidden="true"
        >
          <line
            v-for="(f, i) in FLAGS"
            :key="f.m"
            x1="4"
            :y1="100 * shareOf(f.m)"
            x2="100"
            :y2="(100 * (i + 0.5)) / FLAGS.length"
            stroke="currentColor"
            :stroke-width="f === chosen ? 3 : 1"
            :stroke-dasharray="f === chosen ? undefined : '3 4'"
            vector-effect="non-scaling-stroke"
          />
        </svg>
        <div class="pointer-events-none absolute inset-y-0 right-3 left-[54%] grid grid-rows-5 items-center">
          <button
            v-for="f in FLAGS"
            :key="f.m"
            type="button"
            class="figure pointer-events-auto flex min-h-11 items-center justify-between gap-2 border border-white px-3"
            :class="['max-sm:px-2 max-sm:text-bar', f === chosen ? 'bg-white text-black' : 'bg-[#111] text-white']"
            :aria-pressed="f === chosen"
            @pointerdown.stop
            @click="tellAt(f.m)"
          >
            <b>{{ f.words }}</b>
            <span>{{ lengthText(f.m) }}</span>
          </button>
        </div>
        <p
          v-if="first.told.whiteM !== null && !chosen"
          class="figure pointer-events-none absolute left-[44%] -mt-3 -ml-16 w-12 text-right font-bold"
          :style="{ top: top(shareOf(first.told.whiteM)) }"
        >
          {{ lengthNumber(first.told.whiteM) }} {{ length.unit }}
        </p>
      </div>
    </div>
  </div>
</template>
