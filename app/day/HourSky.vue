<script setup lang="ts">
import { computed } from 'vue'
import Choice from '~/common/Choice.vue'
import NumberField from '~/common/NumberField.vue'
import { useDayStore } from './store'
import { plainScale } from '~/settings/plainScale'
import { WIND_OPTIONS } from '~/words/options'

/** Cloud, wind and storm of the hour that is looked at, typed or chosen: beside the picture, or in a row under it. */
const props = defineProps<{ hour: number; row?: boolean }>()
const day = useDayStore()
const now = computed(() => day.hours[props.hour]!)
const PERCENT = plainScale('%', 0, 100)
function storm() {
  const on = !now.value.lightning
  day.setHour(props.hour, { lightning: on, rain: on })
}
</script>

<template>
  <div :class="row ? 'flex items-center gap-4 border-b border-ink px-3' : 'leading-none'">
    <span :class="row ? 'flex items-center gap-2' : ''">
      <span class="block pt-1 text-note text-ink2">Cloud</span>
      <NumberField
        label="Cloud at this hour"
        :value="now.cloud"
        :scale="PERCENT"
        :min="0"
        :max="1"
        @change="v => day.pullCloud(hour, v)"
      />
    </span>
    <Choice
      bare
      :class="row ? '' : '-ml-1'"
      label="Wind"
      :value="now.wind"
      :options="WIND_OPTIONS"
      @change="v => day.setHour(hour, { wind: v })"
    />
    <button
      type="button"
      class="min-h-11 text-left text-note"
      :class="now.lightning ? 'font-bold' : 'text-ink2 underline'"
      :aria-pressed="now.lightning"
      @click="storm"
    >
      {{ now.lightning ? 'Storm: clear it' : 'Storm?' }}
    </button>
  </div>
</template>
