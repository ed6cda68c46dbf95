<script setup lang="ts">
import { computed, ref } from 'vue'
import { TINTS } from '#core/water/tints'
import { useUnits } from '~/settings/useUnits'
import { useReadingStore } from '~/reading/store'
import { useTwoLures } from '~/waters/useTwoLures'
import NumberField from '~/components/common/NumberField.vue'

/** Two lures lowered until they vanish: clarity and tint from their two depths. */
const store = useReadingStore()
const { length, lengthText } = useUnits()
const whiteM = ref(store.reading.visibilityM)
const blackM = ref(0)
const { reading, failed } = useTwoLures(() => ({
  whiteM: whiteM.value,
  blackM: blackM.value,
  salt: store.reading.salinity === 'salt',
}))
const likely = computed(() =>
  (reading.value?.tints ?? [])
    .filter(t => t.odds > 0.08)
    .map(t => `${TINTS[t.tint].name} ${Math.round(t.odds * 100)} %`)
    .join(', '),
)
function use() {
  if (!reading.value) return
  store.set({ visibilityM: reading.value.discM, tint: reading.value.tints[0]!.tint })
}
</script>

<template>
  <details>
    <summary class="flex min-h-11 cursor-pointer items-center underline underline-offset-4">
      No disc? Lower a white and a black lure
    </summary>
    <p class="mb-1 text-ink2">
      On the shaded side, lower each until it is gone. Black lost at once means tea or algae; black that stays with
      white for a while means silt.
    </p>
    <div class="flex flex-wrap gap-4">
      <span class="flex items-center gap-2">
        White to
        <NumberField
          label="White vanishes at"
          :value="whiteM"
          :scale="length"
          :min="0.05"
          :max="20"
          @change="v => (whiteM = v)"
        />
      </span>
      <span class="flex items-center gap-2">
        Black to
        <NumberField
          label="Black vanishes at"
          :value="blackM"
          :scale="length"
          :min="0"
          :max="20"
          @change="v => (blackM = v)"
        />
      </span>
    </div>
    <p v-if="failed" class="my-2" role="status">
      The waters could not be worked out just now. Change a depth to try again.
    </p>
    <p v-else-if="!reading" class="my-2" role="status">Trying some hundreds of waters…</p>
    <p v-else class="my-2" role="status">
      A disc would vanish at about
      <b>{{ lengthText(reading.discM) }}</b>
      ({{ lengthText(reading.lowM) }} to {{ lengthText(reading.highM) }}, nine times in ten). Tint: {{ likely }}.
    </p>
    <button type="button" class="quiet" :disabled="!reading" @click="use">Use this reading</button>
  </details>
</template>
