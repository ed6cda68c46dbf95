<script setup lang="ts">
import { computed } from 'vue'
import { useColumn } from './useColumn'
import { useUnits } from '~/settings/useUnits'
import { useReadingStore } from '~/reading/store'
import { useSettingsStore } from '~/settings/store'
import { LIMITS } from '#shared/vocabulary'
import { at } from '~/components/common/at'
import DragHandle from '~/components/common/DragHandle.vue'
import NumberField from '~/components/common/NumberField.vue'

/** The white disc on its string, where it vanishes: the clarity reading. */
const store = useReadingStore()
const settings = useSettingsStore()
const c = useColumn()
const { length, lengthText } = useUnits()
const v = computed(() => store.reading.visibilityM)
const disc = c.disc
const word = computed(() => c.screen.value?.clarity ?? '')
const ground = computed(() => c.patch(disc.value.wordsY - 17, 34))
</script>

<template>
  <svg
    :width="c.width.value"
    :height="c.height.value"
    class="pointer-events-none absolute top-0 left-0"
    aria-hidden="true"
  >
    <path :d="`M${disc.x} ${c.skyH.value}V${disc.y}`" :stroke="c.ink.value" stroke-width="1.4" />
  </svg>
  <DragHandle
    label="Depth at which the white disc vanishes"
    :value="v"
    :min="LIMITS.visibilityM[0]"
    :max="LIMITS.visibilityM[1]"
    :step="0.05"
    :text="`${lengthText(v)}, ${word}`"
    :x="disc.x"
    :y="disc.y"
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
  <div class="floats" :style="at(40, disc.flagY - 22)">
    <NumberField
      label="Visibility"
      :value="v"
      :scale="length"
      :min="LIMITS.visibilityM[0]"
      :max="LIMITS.visibilityM[1]"
      tag
      @change="m => store.set({ visibilityM: m })"
    >
      <template #default="{ shown }">
        <span class="flag">{{ shown }}</span>
      </template>
    </NumberField>
  </div>
  <p
    class="figure floats pointer-events-none px-0.5 text-note font-semibold whitespace-nowrap"
    :style="`${at(disc.wordsX, disc.wordsY - 17)};color:${c.ink.value};background:${ground}`"
    aria-hidden="true"
  >
    Disc vanishes
    <br />
    <span class="font-medium">{{ word }} water</span>
  </p>
</template>
