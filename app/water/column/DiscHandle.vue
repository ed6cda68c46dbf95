<script setup lang="ts">
import { computed } from 'vue'
import { clarityWord } from '#core/water/words'
import { useColumn } from './useColumn'
import { useUnits } from '~/settings/useUnits'
import { useReadingStore } from '~/reading/store'
import { useSettingsStore } from '~/settings/store'
import { LIMITS } from '#shared/vocabulary'
import { at, vFollow } from '~/common/follow'
import DragHandle from '~/common/DragHandle.vue'
import DepthFlag from './DepthFlag.vue'

/** The white disc on its string, where it vanishes: the clarity reading. */
const store = useReadingStore()
const settings = useSettingsStore()
const c = useColumn()
const { lengthText } = useUnits()
const disc = c.disc
const word = computed(() => clarityWord(store.reading.visibilityM))
// What a drag moves is read by getters: nothing here is drawn anew for it.
const visibilityM = () => store.reading.visibilityM
const text = () => `${lengthText(visibilityM())}, ${word.value}`
const x = () => disc.value.x
const y = () => disc.value.y
const flagY = () => disc.value.flagY
const string = () => ({ transform: `translate(${x()}px,${c.skyH.value}px) scaleY(${y() - c.skyH.value})` })
const words = () => ({
  ...at(disc.value.wordsX, disc.value.wordsY - 17),
  background: c.patch(disc.value.wordsY - 17, 34),
})
</script>

<template>
  <svg
    :width="c.width.value"
    :height="c.height.value"
    class="pointer-events-none absolute top-0 left-0"
    aria-hidden="true"
  >
    <path v-follow="string" d="M0 0V1" :stroke="c.ink.value" stroke-width="1.4" />
  </svg>
  <DragHandle
    label="Depth at which the white disc vanishes"
    :value="visibilityM"
    :min="LIMITS.visibilityM[0]"
    :max="LIMITS.visibilityM[1]"
    :step="0.05"
    :text="text"
    :x="x"
    :y="y"
    :w="66"
    :h="44"
    grows="down"
    :move="(_dx, dy, from) => Math.min(c.reachM.value, from + dy / c.pxPerM.value)"
    @change="m => store.set({ visibilityM: m })"
    @held="on => (c.held.value = on)"
  >
    <svg viewBox="-33 -22 66 44" width="66" height="44" aria-hidden="true" :style="{ color: c.ink.value }">
      <ellipse rx="31" ry="15" fill="none" stroke="currentColor" stroke-width="1.4" stroke-dasharray="3 3" />
      <ellipse rx="24" ry="9" :fill="settings.theme === 'night' ? 'var(--ink)' : '#fff'" fill-opacity=".55" />
      <path d="M0 0H24A24 9 0 0 0 0 -9ZM0 0H-24A24 9 0 0 0 0 9Z" fill="#111" fill-opacity=".5" />
    </svg>
  </DragHandle>
  <DepthFlag
    label="Visibility"
    :depth-m="visibilityM"
    :limits="LIMITS.visibilityM"
    :y="flagY"
    @change="m => store.set({ visibilityM: m })"
  />
  <p
    v-follow="words"
    class="figure floats pointer-events-none px-0.5 text-note font-semibold whitespace-nowrap"
    :style="{ color: c.ink.value }"
    aria-hidden="true"
  >
    Disc vanishes
    <br />
    <span class="font-medium">{{ word }} water</span>
  </p>
</template>
