<script setup lang="ts">
import { computed } from 'vue'
import { useColumn } from './useColumn'
import { useReadingStore } from '~/reading/store'
import { vFollow } from '~/common/follow'
import { JAR_WORDS, TINT_OPTIONS } from '~/words/options'
import JarFigure from '~/figures/JarFigure.vue'

/** Jars of water on white: which tint is it? */
const store = useReadingStore()
const c = useColumn()
/** Height of a jar above its word, px. */
const JAR_PX = 46
const ground = () => ({ background: c.patch(c.asideY.value + JAR_PX, 20) })
const jars = computed(() => TINT_OPTIONS.map(o => ({ ...o, short: JAR_WORDS[o.value] })))
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
      <JarFigure :tint="j.value" :strong="store.reading.tint === j.value" class="peer-focus-visible:outline-3" />
      <span
        v-follow="ground"
        class="px-0.5"
        :class="store.reading.tint === j.value ? 'border-b-3 border-current' : 'border-b-3 border-transparent'"
      >
        {{ j.short }}
      </span>
    </label>
  </fieldset>
</template>
