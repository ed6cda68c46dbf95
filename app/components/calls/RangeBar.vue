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
const lengths = computed(() =>
  [
    `--colour:${percent(props.colourM)}`,
    `--sight:${percent(props.sightM)}`,
    `--fish:${props.fishM <= props.maxM ? percent(props.fishM) : '-99px'}`,
  ].join(';'),
)
const colourWords = computed(() => {
  if (share(props.sightM) - share(props.colourM) < NUMBER_SHARE) return ''
  return props.colourM > NO_COLOUR_M ? lengthText(props.colourM) : 'no colour'
})
const sightWords = computed(() => (props.sightM < FELT_M ? 'felt' : lengthText(props.sightM)))
</script>

<template>
  <span class="ranges" :class="numerals ? 'with-numbers' : 'scaled'" :style="lengths" aria-hidden="true">
    <template v-if="numerals">
      <span class="number at-colour">{{ colourWords }}</span>
      <span class="number at-sight">{{ sightWords }}</span>
    </template>
  </span>
</template>

<style scoped>
.ranges {
  --line: linear-gradient(var(--ink), var(--ink));
  --marks:
    repeating-linear-gradient(var(--ink) 0 3px, transparent 3px 5px) var(--fish) 0 / 1px 14px no-repeat,
    var(--line) var(--sight) 2px / 2px 10px no-repeat, var(--line) 0 4px / var(--colour) 6px no-repeat,
    var(--line) 0 6px / var(--sight) 2px no-repeat;
  position: relative;
  display: block;
  height: 14px;
}
.scaled {
  background:
    var(--marks),
    linear-gradient(var(--hair), var(--hair)) 0 7px / 100% 1px no-repeat;
}
.with-numbers {
  background: var(--marks);
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
.at-colour {
  left: var(--colour);
}
.number:empty {
  padding: 0;
}
.at-sight {
  left: calc(var(--sight) + 3px);
  background: none;
  font-size: 15px;
}
</style>
