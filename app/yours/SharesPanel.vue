<script setup lang="ts">
import { DateTime } from 'luxon'
import { computed, ref } from 'vue'
import { finishById } from '#core/lure/finish'
import type { ShareOut } from '#shared/schema/share'
import HandFigure from '~/figures/HandFigure.vue'
import { counted } from '~/words/numbers'
import ShareMade from './ShareMade.vue'
import { useYoursStore } from './store'

/** Links that are good, and taking them back; what leaves this device. */
const yours = useYoursStore()
const words = ref('')
const made = ref<ShareOut | null>(null)
const until = (s: ShareOut) => (s.until ? `until ${DateTime.fromISO(s.until).toFormat('d LLLL')}` : 'until taken back')
const rows = computed(() =>
  yours.shares.map(s => ({ ...s, finish: s.finishId ? finishById(s.finishId) : undefined, until: until(s) })),
)
async function takeBack(id: string) {
  const done = await yours.takeBack(id)
  words.value = done.ok ? 'It is taken back: the link shows nothing any more.' : done.words
}
async function shareBox() {
  const done = await yours.share({ kind: 'box' })
  words.value = done.ok ? '' : done.words
  if (!done.ok) return
  made.value = done.value
  await yours.load()
}
</script>

<template>
  <section aria-labelledby="yours-links">
    <header class="flex flex-wrap items-baseline justify-between gap-x-3 border-b-2 border-ink pb-1">
      <h2 id="yours-links" class="figure text-title font-bold">Shared links</h2>
      <span class="text-ink2">anyone who has one can read it</span>
    </header>
    <p v-if="!rows.length" class="py-3 text-ink2">
      None. Share a call from its plate in Water, a plan from Day, a test from the Log; the box from here.
    </p>
    <ul>
      <li v-for="s in rows" :key="s.id" class="flex items-center gap-3 border-b border-hair py-3">
        <span class="block h-12.5 w-26 shrink-0 bg-plate p-1">
          <HandFigure v-if="s.finish" :finish="s.finish" :line="1.6" />
        </span>
        <p class="flex-1 leading-snug">
          <a class="font-bold underline" :href="`/s/${s.id}`" target="_blank" rel="noopener">{{ s.title }}</a>
          <span class="block text-ink2">{{ s.until }}, opened {{ counted(s.openings, 'time') }}</span>
        </p>
        <button type="button" class="quiet" :disabled="yours.busy" @click="takeBack(s.id)">
          Take back
          <span class="off">{{ s.title }}</span>
        </button>
      </li>
    </ul>
    <p class="pt-3">
      <button type="button" class="quiet" :disabled="yours.busy" @click="shareBox">Share the box</button>
    </p>
    <ShareMade v-if="made" :share="made" class="mt-3" />
    <p v-if="words" role="status" class="py-2 font-semibold">{{ words }}</p>
    <p class="py-3 leading-snug">
      A link holds a picture of that moment. It never holds a place, a name of a water, or your log, and a taken-back
      one says only that it is gone.
    </p>
    <h2 class="figure border-b-2 border-ink pb-1 text-title font-bold">What leaves this device</h2>
    <p class="py-3 leading-snug">
      Your log, box and waters, so your other devices have them. The call itself is worked out here: no water you ask
      about is sent, but with a link you share.
    </p>
  </section>
</template>
