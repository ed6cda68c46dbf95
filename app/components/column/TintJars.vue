<script setup lang="ts">
import { computed, onMounted, ref } from 'vue'
import { hex } from '#core/spectrum/colour'
import { jarColour } from '#core/picture/jar'
import { hasLightTable } from '#core/light-field/table'
import { useColumn } from './useColumn'
import { useReadingStore } from '~/reading/store'
import { useSettingsStore } from '~/settings/store'
import { redTone } from '~/figures/tone'
import { withLightTable } from '~/screen/lightTable'
import { JAR_WORDS, TINT_OPTIONS } from '~/words/options'

/** Jars of water on white: which tint is it? */
const store = useReadingStore()
const settings = useSettingsStore()
const c = useColumn()
/** What is in a jar can be drawn once the light table is there; a jar without it stands empty. */
const filled = ref(hasLightTable())
onMounted(async () => {
  await withLightTable().catch(() => {})
  filled.value = hasLightTable()
})
function colourOf(tint: (typeof TINT_OPTIONS)[number]['value']): string {
  if (!filled.value) return 'none'
  const colour = hex(jarColour(tint))
  return settings.theme === 'night' ? redTone(colour, 200) : colour
}
/** Height of a jar above its word, px. */
const JAR_PX = 46
const ground = computed(() => c.patch(c.asideY.value + JAR_PX, 20))
const jars = computed(() => TINT_OPTIONS.map(o => ({ ...o, short: JAR_WORDS[o.value], colour: colourOf(o.value) })))
</script>

<template>
  <fieldset class="flex" :style="{ color: c.ink.value }">
    <legend class="off">Tint of the water</legend>
    <label
      v-for="j in jars"
      :key="j.value"
      class="figure flex w-12 cursor-pointer flex-col items-center text-label"
      :class="store.reading.tint === j.value ? 'font-extrabold' : 'font-medium'"
      :title="`${j.words}: ${j.note}`"
    >
      <input
        type="radio"
        name="tint"
        class="peer off"
        :value="j.value"
        :checked="store.reading.tint === j.value"
        :aria-label="`${j.words}: ${j.note}`"
        @change="store.set({ tint: j.value })"
      />
      <svg viewBox="0 0 30 48" width="28" height="45" class="peer-focus-visible:outline-3" aria-hidden="true">
        <path d="M6 4V34C6 44 24 44 24 34V4" fill="#f4f4f2" :fill-opacity="settings.theme === 'night' ? 0 : 1" />
        <path d="M6 10V34C6 44 24 44 24 34V10Z" :fill="j.colour" />
        <path
          d="M3 4H27M6 4V34C6 44 24 44 24 34V4"
          fill="none"
          stroke="currentColor"
          :stroke-width="store.reading.tint === j.value ? 2.6 : 1.3"
        />
      </svg>
      <span
        class="px-0.5"
        :style="{ background: ground }"
        :class="store.reading.tint === j.value ? 'border-b-3 border-current' : 'border-b-3 border-transparent'"
      >
        {{ j.short }}
      </span>
    </label>
  </fieldset>
</template>
