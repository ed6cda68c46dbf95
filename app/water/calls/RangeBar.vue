<script setup lang="ts">
import { computed } from 'vue'
import { useUnits } from '~/settings/useUnits'
import { FELT_M } from '#core/sight/view'

/**
 * Thick ink to where colour reads, thin to where shape reads, a dashed tick at the fish; with `numerals`, each length
 * at its end. Painted by backgrounds: rows of these follow the finger without being laid out anew.
 */
const props = defineProps<{ colourM: number; sightM: number; fishM: number; maxM: number; numerals?: boolean }>()
const { lengthText } = useUnits()
/** Nearer than this colour is as good as not seen, m. */
const NO_COLOUR_M = 0.05
/** Share of the line that the number of the colour takes. */
const NUMBER_SHARE = 0.24
const share = (m: number) => Math.min(1, m / props.maxM)
const percent = (m: number) => `${(100 * share(m)).toFixed(2)}%`
const colour = computed(() => percent(props.colourM))
const sight = computed(() => percent(props.sightM))
const fish = computed(() => (props.fishM <= props.maxM ? percent(props.fishM) : '-99px'))
/** Places and sizes of the marks in the order of their images: fish, end of the shape, colour, shape, scale. */
const marks = computed(
  () =>
    `background-position:${fish.value} 0,${sight.value} 2px,0 4px,0 6px,0 7px;` +
    `background-size:1px 14px,2px 10px,${colour.value} 6px,${sight.value} 2px,100% 1px`,
)
const colourWords = computed(() => {
  if (share(props.sightM) - share(props.colourM) < NUMBER_SHARE) return ''
  return props.colourM > NO_COLOUR_M ? lengthText(props.colourM) : 'no colour'
})
const sightWords = computed(() => (props.sightM < FELT_M ? 'felt' : lengthText(props.sightM)))
</script>

<template>
  <span class="ranges" :class="numerals ? 'with-numbers' : 'scaled'" :style="marks" aria-hidden="true">
    <template v-if="numerals">
      <span class="number" :style="`left:${colour}`">{{ colourWords }}</span>
      <span class="number at-sight" :style="`left:${sight}`">{{ sightWords }}</span>
    </template>
  </span>
</template>

<style scoped>
.ranges {
  --line: linear-gradient(var(--ink), var(--ink));
  --marks: repeating-linear-gradient(var(--ink) 0 3px, transparent 3px 5px), var(--line), var(--line), var(--line);
  position: relative;
  display: block;
  height: 14px;
  background-repeat: no-repeat;
}
.scaled {
  background-image: var(--marks), linear-gradient(var(--hair), var(--hair));
}
.with-numbers {
  background-image: var(--marks);
  margin-right: 58px;
}
.number {
  position: absolute;
  top: -3px;
  padding: 0 4px;
  background: var(--page);
  font: 600 13px/20px var(--font-figure);
  white-space: nowrap;
}
.number:empty {
  padding: 0;
}
.at-sight {
  margin-left: 3px;
  background: none;
  font-size: 15px;
}
</style>
