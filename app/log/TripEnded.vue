<script setup lang="ts">
import { computed } from 'vue'
import { useFinish } from '~/box/useFinish'
import { endedOf } from './ended'
import { useLogStore } from './store'
import { type Trip, tapsOf } from './trip'
import { counted } from '~/words/numbers'

/** A trip that has just ended, in a few lines: what happened, what it adds to Season, what is still worth noting. */
const props = defineProps<{ trip: Trip }>()
defineEmits<{ close: []; season: [] }>()
const log = useLogStore()
const { finishName } = useFinish()
const ended = computed(() => endedOf(props.trip, tapsOf(log.allTaps, props.trip.id)))
const h = (hours: number) => `${hours.toFixed(1)} h`
const lines = computed(() => {
  const e = ended.value
  const paused = e.pausedHours > 0.05 ? `, ${h(e.pausedHours)} of it paused` : ''
  const b = e.best
  const led = b && `${finishName(b.finishId)}, rod ${b.rod + 1}, led by bites an hour: ${b.bites} in ${h(b.hours)}.`
  const compared =
    e.compared === e.bites && e.bites
      ? `All of them count in Season: another rod was tried beside each.`
      : `${e.compared} of ${e.bites} count in Season: they came with another rod tried in the same half-hour.`
  const missing = [
    e.unnamed ? `what ${e.unnamed === 1 ? 'the landed fish was' : `${e.unnamed} landed fish were`}` : '',
    e.asItHappened ? '' : 'nothing more: it was written down afterwards, and Season leaves it out',
  ].filter(Boolean)
  return [
    `${h(e.hours)} on the water${paused}.`,
    `${counted(e.bites, 'bite')}, ${e.landed} landed, ${counted(e.follows, 'follow')}.`,
    e.anglers.map(a => `${a.name} ${a.bites}`).join(', ') + (e.anglers.length ? '.' : ''),
    led ? `${led} By itself that says little.` : '',
    e.light ? `Best light: ${e.light.words.toLowerCase()}, ${e.light.perHour.toFixed(1)} bites an hour.` : '',
    e.bites ? compared : 'Hours without a bite count too.',
    missing.length ? `Worth noting: ${missing.join('; ')}.` : '',
  ].filter(Boolean)
})
</script>

<template>
  <section class="border-b-2 border-ink p-4 leading-snug" aria-label="The trip that ended">
    <h2 class="figure text-lead font-bold">{{ trip.body.name || 'The trip' }} has ended</h2>
    <p v-for="l in lines" :key="l" class="border-b border-hair py-1">{{ l }}</p>
    <p class="mt-3 flex flex-wrap gap-3">
      <button type="button" class="quiet" @click="$emit('season')">Read it in Season</button>
      <button type="button" class="quiet" @click="log.resume(trip.id)">It goes on</button>
      <button type="button" class="quiet" @click="$emit('close')">Close</button>
    </p>
  </section>
</template>
