<script setup lang="ts">
import Choice from '~/common/Choice.vue'
import { useCallsStore } from '~/kept/store'
import { useSettingsStore } from '~/settings/store'
import { useWatersStore } from '~/waters/store'
import { useKitScenes } from './useKitScenes'

/** What the kit is for. */
const settings = useSettingsStore()
const calls = useCallsStore()
const waters = useWatersStore()
const { fished, turnWater } = useKitScenes()
const KIT_FOR = [
  { value: 'waters' as const, words: 'my waters, through the year' },
  { value: 'calls' as const, words: 'the calls I kept' },
]
</script>

<template>
  <div>
    <Choice
      class="mb-3 max-w-80"
      label="The kit is for"
      :value="settings.kitFor"
      :options="KIT_FOR"
      @change="v => (settings.kitFor = v)"
    />
    <p v-if="settings.kitFor === 'calls' && !calls.all.length">
      No call is kept yet: keep some in Water, or choose a kit for your waters.
    </p>
    <ul v-else-if="settings.kitFor === 'waters'">
      <li v-for="w in waters.list" :key="w.id">
        <label class="flex min-h-12 items-center gap-3 border-t border-hair">
          <input
            type="checkbox"
            class="h-5 w-5 accent-(--ink)"
            :checked="fished.includes(w)"
            @change="turnWater(w.id)"
          />
          <b>{{ w.name }}</b>
          {{ w.kind }}
        </label>
      </li>
    </ul>
  </div>
</template>
