<script setup lang="ts">
import { computed, ref } from 'vue'
import { useDayStore } from '~/day/store'
import { useReadingStore } from '~/reading/store'
import { useUnits } from '~/settings/useUnits'
import { firstSpot } from '~/waters/first'
import { type WaterOut, useWatersStore } from '~/waters/store'
import { useSpot } from '~/day/useSpot'
import { BACKGROUNDS } from '#core/sight/backgrounds'
import type { SpotRecord } from '#shared/schema/record'
import { cap } from '~/words/options'
import EditSpot from './EditSpot.vue'

/** Spots of a water: fished, made, changed. */
const props = defineProps<{ water: WaterOut }>()
const emit = defineEmits<{ fished: [] }>()
const waters = useWatersStore()
const reading = useReadingStore()
const day = useDayStore()
const { lengthText } = useUnits()
const { choose } = useSpot()
const open = ref<string | null>(null)
const spots = computed(() => waters.spotsOf(props.water.id))
const look = (s: SpotRecord) =>
  [
    cap(BACKGROUNDS[s.background].words),
    s.depthM === null ? '' : `${lengthText(s.depthM)} deep`,
    s.cover,
    s.bank ? 'banks known' : '',
  ]
    .filter(Boolean)
    .join(', ')
async function add() {
  open.value = await waters.putSpot(firstSpot(props.water.id, reading.reading, day.set.bank))
}
</script>

<template>
  <section class="mt-5" aria-label="Spots">
    <h4 class="figure text-value font-bold">Spots</h4>
    <p v-if="!spots.length" class="text-ink2">None yet. A spot keeps its bottom, depth, trees and banks together.</p>
    <ul>
      <li v-for="s in spots" :key="s.id" class="border-t border-hair py-1">
        <div class="flex flex-wrap items-center gap-2">
          <span class="min-w-40 flex-1 leading-tight">
            <b class="block">{{ s.body.name }}</b>
            <span class="block text-small">{{ look(s.body) }}</span>
          </span>
          <button
            type="button"
            class="quiet"
            :aria-label="`Fish ${s.body.name}`"
            @click="(choose(s.id), emit('fished'))"
          >
            Fish it
          </button>
          <button
            type="button"
            class="quiet"
            :aria-expanded="open === s.id"
            :aria-label="`Change ${s.body.name}`"
            @click="open = open === s.id ? null : s.id"
          >
            {{ open === s.id ? 'Done' : 'Change' }}
          </button>
        </div>
        <EditSpot v-if="open === s.id" :id="s.id" :spot="s.body" />
      </li>
    </ul>
    <button type="button" class="quiet mt-2" @click="add">New spot</button>
  </section>
</template>
