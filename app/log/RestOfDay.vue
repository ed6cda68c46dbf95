<script setup lang="ts">
import { useDebounceFn } from '@vueuse/core'
import { computed, ref } from 'vue'
import { WINDS, type Wind } from '#core/sky/weather'
import { useFinish } from '~/box/useFinish'
import { atTime } from '~/reading/reading'
import { useReadingStore } from '~/reading/store'
import { cloudOf, underSky } from './restOfDay'
import { useLogStore } from './store'
import type { useRestOfDay } from './useRestOfDay'
import { cap } from '~/words/options'
import { counted } from '~/words/numbers'
import HandFigure from '~/figures/HandFigure.vue'

/** The sky is not as foretold: cloud and wind by steps, and what is left of the day planned anew by them. */
const props = defineProps<{ rest: ReturnType<typeof useRestOfDay> }>()
const log = useLogStore()
const reading = useReadingStore()
const { finishOf, finishName } = useFinish()
const open = ref(false)
const WINDS_BY_FORCE = Object.keys(WINDS) as Wind[]
const CLOUD_STEP = 0.1
/** A sky is noted once its steps have rested so long, ms. */
const RESTED_MS = 1200
/** What was stepped to and is not noted yet. */
const stepped = ref<{ cloud: number; wind: Wind } | null>(null)
const sky = computed(() => {
  const noted = props.rest.noted.value!
  return stepped.value ?? { cloud: cloudOf(noted), wind: noted.light.wind ?? ('calm' as const) }
})
const note = useDebounceFn(async () => {
  const to = stepped.value
  if (!to || !log.current) return
  const asked = atTime(underSky(props.rest.noted.value!, to), Date.now())
  // Water shows the sky that is fished under.
  reading.set({ cloud: to.cloud, wind: to.wind, rain: asked.light.sky === 'rain' })
  await log.tap('conditions', { asked })
  stepped.value = null
}, RESTED_MS)
function step(patch: Partial<{ cloud: number; wind: Wind }>) {
  stepped.value = { ...sky.value, ...patch }
  void note()
}
const cloud = (by: number) => step({ cloud: Math.min(1, Math.max(0, Math.round((sky.value.cloud + by) * 10) / 10)) })
const windAt = computed(() => WINDS_BY_FORCE.indexOf(sky.value.wind))
const STEPPERS = computed(() => [
  {
    name: 'Cloud',
    shown: `${Math.round(100 * sky.value.cloud)} %`,
    less: sky.value.cloud > 0 ? () => cloud(-CLOUD_STEP) : null,
    more: sky.value.cloud < 1 ? () => cloud(CLOUD_STEP) : null,
  },
  {
    name: 'Wind',
    shown: WINDS[sky.value.wind].words,
    less: windAt.value > 0 ? () => step({ wind: WINDS_BY_FORCE[windAt.value - 1]! }) : null,
    more: windAt.value < WINDS_BY_FORCE.length - 1 ? () => step({ wind: WINDS_BY_FORCE[windAt.value + 1]! }) : null,
  },
])
const changes = computed(() => props.rest.changes.value ?? [])
const same = computed(() => {
  const key = (all: readonly { rod: number; at: string; finishId: string }[]) =>
    JSON.stringify(all.map(c => [c.rod, props.rest.clockAt(c.at), c.finishId]).sort())
  return key(changes.value) === key(props.rest.toCome.value)
})
const planning = computed(() => props.rest.progress.value < 1 || props.rest.changes.value === null)
</script>

<template>
  <section class="border-b-2 border-ink" aria-label="The rest of the day">
    <button
      type="button"
      class="figure flex min-h-11 w-full items-center justify-between px-4 font-semibold"
      :aria-expanded="open"
      @click="open = !open"
    >
      <span class="underline">The sky is not as foretold</span>
      <span class="font-normal">{{ Math.round(100 * sky.cloud) }} % cloud, {{ WINDS[sky.wind].words }}</span>
    </button>
    <div v-if="open" class="px-4 pb-3">
      <div
        v-for="s in STEPPERS"
        :key="s.name"
        class="flex items-center border-t border-hair py-1"
        role="group"
        :aria-label="s.name"
      >
        <b class="figure flex-1">{{ s.name }}</b>
        <button
          type="button"
          class="size-13 border border-ink text-figure disabled:opacity-60"
          :aria-label="`Less ${s.name.toLowerCase()}`"
          :disabled="!s.less"
          @click="s.less?.()"
        >
          −
        </button>
        <b class="figure w-28 text-center text-value" role="status">{{ cap(s.shown) }}</b>
        <button
          type="button"
          class="size-13 border border-ink text-figure disabled:opacity-60"
          :aria-label="`More ${s.name.toLowerCase()}`"
          :disabled="!s.more"
          @click="s.more?.()"
        >
          +
        </button>
      </div>
      <p v-if="rest.failed.value" role="alert" class="pt-2">The rest of the day could not be planned just now.</p>
      <p v-else-if="planning" role="status" class="pt-2">Planning what is left of the day …</p>
      <template v-else>
        <p class="pt-2 leading-snug" role="status">
          <template v-if="!changes.length">What is on the rods stays best until the light goes.</template>
          <template v-else>
            What is left of the day asks for {{ counted(changes.length, 'change')
            }}{{ same ? ', as on the rods’ list' : '' }}; changes you held stay.
          </template>
        </p>
        <ul>
          <li
            v-for="c in changes"
            :key="`${c.rod} ${c.at}`"
            class="flex items-center gap-3 border-t border-hair py-1.5"
          >
            <b class="figure w-13 text-value">{{ rest.clockAt(c.at) }}</b>
            <span class="block h-9 w-18 shrink-0 bg-plate p-0.5">
              <HandFigure v-if="finishOf(c.finishId)" :finish="finishOf(c.finishId)!" :line="2.6" />
            </span>
            <span class="min-w-0 leading-tight">
              <b>Rod {{ c.rod + 1 }}: {{ finishName(c.finishId) }}{{ c.held ? ', held' : '' }}</b>
              <span v-if="c.why" class="block text-note">{{ c.why }}</span>
            </span>
          </li>
        </ul>
        <button v-if="changes.length && !same" type="button" class="quiet mt-2" @click="rest.take()">
          Take these changes
        </button>
      </template>
    </div>
  </section>
</template>
