<script setup lang="ts">
import { computed } from 'vue'
import { knownFinish } from '#core/box/own'
import { useRecordsStore } from '~/records/store'
import type { Kept } from '~/records/store'

/** Plans that were kept, by date: opened again, or copied to the date that is looked at. */
defineProps<{ date: string }>()
const emit = defineEmits<{ open: [plan: Kept<'plan'>, copy: boolean] }>()
const records = useRecordsStore()
const plans = computed(() =>
  records.list('plan').sort((a, b) => b.body.asked.date.localeCompare(a.body.asked.date) || b.at.localeCompare(a.at)),
)
const names = (p: Kept<'plan'>) => p.body.pack.map(id => knownFinish(id)?.name ?? id).join(', ')
</script>

<template>
  <p v-if="records.words" role="status" class="mb-3 border border-ink p-2">{{ records.words }}</p>
  <p v-if="!plans.length">
    No plan is kept yet. Pack one, and it stands here with its date, on this device and wherever you sign in by code.
  </p>
  <ul>
    <li v-for="p in plans" :key="p.id" class="border-t border-hair py-2">
      <p class="figure flex items-baseline gap-3">
        <b class="text-value">{{ p.body.name }}</b>
        <span>{{ p.body.asked.date }}</span>
        <span class="ml-auto font-bold">{{ Math.round(p.body.share) }} of 100</span>
      </p>
      <p class="text-note text-ink2">{{ names(p) }}</p>
      <p class="mt-1 flex flex-wrap gap-2">
        <button type="button" class="quiet" @click="emit('open', p, false)">Open</button>
        <button type="button" class="quiet" @click="emit('open', p, true)">Copy to {{ date }}</button>
        <button type="button" class="quiet" @click="records.remove('plan', p.id)">Take it out</button>
      </p>
    </li>
  </ul>
</template>
