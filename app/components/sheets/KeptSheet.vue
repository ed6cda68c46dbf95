<script setup lang="ts">
import { DateTime } from 'luxon'
import { finishById } from '#core/finish/finish'
import { useUnits } from '../../composables/useUnits'
import { type KeptCall, useCallsStore } from '../../stores/calls'
import { JAR_WORDS } from '../../utils/words'
import HandFigure from '../figure/HandFigure.vue'

/** What was tied on, when, and in what water. */
const calls = useCallsStore()
const { lengthText } = useUnits()
const when = (c: KeptCall) => DateTime.fromISO(c.keptAt).toFormat('d LLL, HH:mm')
const figure = (c: KeptCall) => finishById(c.tiedOn.id)
</script>

<template>
  <p v-if="!calls.loaded" aria-busy="true">Fetching your calls …</p>
  <div v-else-if="!calls.all.length"><p>Nothing kept yet.</p><p class="mt-2 text-ink2">When you tie a lure on, keep the call: the water, the light and the ranking of that moment are kept with it, so that you can see later what earned its place.</p></div>
  <ul v-else>
    <li v-for="c in calls.all" :key="c.id" class="flex items-center gap-3 border-b border-hair py-2" data-testid="kept">
      <span class="h-[46px] w-[86px] shrink-0 bg-plate p-1"><HandFigure v-if="figure(c)" :finish="figure(c)!" :line="2.6" /></span>
      <span class="min-w-0 flex-1 leading-tight">
        <span class="block font-bold">{{ c.tiedOn.name }}</span>
        <span class="block text-ink2">{{ when(c) }}. {{ JAR_WORDS[c.asked.water.tint] }} to {{ lengthText(c.asked.water.visibilityM) }}<template v-if="c.rank">, ranked {{ c.rank }}</template>.</span>
        <span v-if="c.waiting" class="block font-semibold">On this device only; it is sent as soon as the server answers.</span>
      </span>
      <button type="button" class="min-h-11 px-2 underline" :aria-label="`Take back ${c.tiedOn.name}`" @click="calls.forget(c.id)">Take back</button>
    </li>
  </ul>
</template>
