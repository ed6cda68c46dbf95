<script setup lang="ts">
import { computed, ref, watch } from 'vue'
import { finishById } from '#core/lure/finish'
import type { Request } from '#core/request/request'
import { type BenchApi, useAnswerTo } from './useBench'
import NumberField from '~/common/NumberField.vue'
import { MOST_READINGS, useDeskStore } from '~/desk/store'
import { useUnits } from '~/settings/useUnits'
import { LIMITS } from '#shared/vocabulary'

/** The check beside the boat: what to expect of the first pick, and what was seen instead as a reading of the water. */
const props = defineProps<{ api: BenchApi; request: Request }>()
const desk = useDeskStore()
const { length, lengthText } = useUnits()
const { answer } = useAnswerTo(props.api.boat, () => props.request)
const seenM = ref<number | null>(null)
const taken = ref(false)
watch(answer, t => {
  seenM.value = t?.lostM ?? null
  taken.value = false
})
const pick = computed(() => (answer.value ? finishById(answer.value.finishId) : null))
const off = computed(() => {
  const [m, expected] = [seenM.value, answer.value?.lostM]
  if (m === null || !expected) return ''
  const ratio = m / expected
  if (ratio > 0.85 && ratio < 1.15) return 'As expected: the water is what it was taken for.'
  return ratio < 1
    ? `Lost sooner than ${lengthText(expected)}: the water is darker than it was taken for.`
    : `Seen farther than ${lengthText(expected)}: the water is clearer than it was taken for.`
})
function take() {
  if (!pick.value || seenM.value === null) return
  desk.add('target', { kind: 'target', target: pick.value.id, depthM: Number(seenM.value.toFixed(3)) })
  taken.value = true
}
</script>

<template>
  <section v-if="answer && pick" class="border-t-2 border-ink p-3" aria-label="Beside the boat">
    <h2 class="figure text-lead font-bold">Beside the boat</h2>
    <p v-if="answer.lostM === null" class="leading-snug">
      {{ pick.name }} stays on top, or it is too dark to lose it by eye: nothing to check by lowering it.
    </p>
    <template v-else>
      <p class="leading-snug">
        <b>{{ pick.name }}.</b>
        {{ answer.text }}
      </p>
      <p class="mt-2 flex flex-wrap items-center gap-2">
        I lost it at
        <NumberField
          label="I lost it at"
          :value="seenM ?? answer.lostM"
          :scale="length"
          :min="0.05"
          :max="LIMITS.depthM[1]"
          @change="v => ((seenM = v), (taken = false))"
        />
        <button
          type="button"
          class="quiet disabled:opacity-60"
          :disabled="taken || desk.readings.length >= MOST_READINGS"
          @click="take"
        >
          {{ taken ? 'On the reading desk' : 'Take it to the reading desk' }}
        </button>
      </p>
      <p class="mt-1 text-note" role="status">{{ off }}</p>
    </template>
  </section>
</template>
