<script setup lang="ts">
import { DateTime } from 'luxon'
import { onMounted, ref, shallowRef } from 'vue'
import { finishById } from '#core/lure/finish'
import { temperatureWords } from '#core/words/quantities'
import type { SeenDay } from '#shared/crew'
import type { CrewAnswer, DaysAnswer } from '#shared/schema/crew'
import { ask } from '~/common/ask'
import HandFigure from '~/figures/HandFigure.vue'
import { useSettingsStore } from '~/settings/store'
import { counted } from '~/words/numbers'
import { JAR_WORDS } from '~/words/options'
import type { TintId } from '#core/water/tints'

/** Days of somebody as they show them, or one's own as somebody sees them. */
const props = defineProps<{
  days?: SeenDay[]
  person?: CrewAnswer['people'][number]
  /** A bar stands where more is kept back. */ hides?: boolean
}>()
const settings = useSettingsStore()
const told = shallowRef<SeenDay[]>([])
const words = ref('')
const hours = (minutes: number) => (minutes < 90 ? `${minutes} min` : `${Math.round(minutes / 60)} h`)
const nameOf = (finishId: string) => finishById(finishId)?.name.toLowerCase() ?? finishId
const best = (d: SeenDay) => d.lures?.filter(l => l.bites).sort((a, b) => b.bites - a.bites)[0] ?? null
const figureOf = (d: SeenDay) => {
  const shown = best(d) ?? d.lures?.[0]
  return shown ? finishById(shown.finishId) : undefined
}
const when = (d: SeenDay) => `${DateTime.fromISO(d.date).toFormat('ccc d LLL')}, ${hours(d.minutes)},`
/** What came of it besides bites, as the end of a sentence. */
function cameOf(d: SeenDay): string {
  const lure = best(d)
  const parts = [d.landed ? `${d.landed} landed` : '', lure ? `${lure.bites} on the ${nameOf(lure.finishId)}` : '']
  const said = parts.filter(Boolean).join(', ')
  return said && `${said}.`
}
function inWater({ water }: SeenDay): string {
  if (!water) return ''
  const { temperatureC } = water
  const warm = temperatureC === null ? '' : `, ${temperatureWords(temperatureC, settings.units)}`
  return `${JAR_WORDS[water.tint as TintId] ?? water.tint} water${warm}.`
}
function where({ spots = [] }: SeenDay): string {
  const { water, latitude, longitude } = spots[0]!
  return `${water || 'A water without a name'}${latitude === null ? '' : `, ${latitude}, ${longitude}`}.`
}
onMounted(async () => {
  if (!props.person) return
  const answer = await ask<DaysAnswer>('GET', `crew/${props.person.id}/days`)
  if (answer.ok) told.value = answer.value.days
  words.value = answer.ok ? (told.value.length ? '' : 'Nothing is shown so far.') : answer.words
})
</script>

<template>
  <ul>
    <li v-for="d in days ?? told" :key="d.id" class="flex items-start gap-3 py-2">
      <span v-if="figureOf(d)" class="block h-11 w-24 shrink-0 bg-plate">
        <HandFigure :finish="figureOf(d)!" :line="1.6" />
      </span>
      <p class="leading-snug">
        {{ when(d) }}
        <b>{{ counted(d.bites, 'bite') }}{{ cameOf(d) ? ',' : '.' }}</b>
        {{ cameOf(d) }} {{ inWater(d) }}
        <template v-if="d.spots?.length">{{ where(d) }}</template>
        <span v-else-if="hides" class="inline-block h-4 w-10 bg-ink align-middle" role="img" aria-label="kept back" />
      </p>
    </li>
  </ul>
  <p v-if="words" role="status">{{ words }}</p>
</template>
