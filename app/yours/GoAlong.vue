<script setup lang="ts">
import { onMounted, ref } from 'vue'
import { ask } from '~/common/ask'
import { useYoursStore } from './store'

/** Somebody asked this angler along: who it is, what both then see, and yes or no. */
const props = defineProps<{ token: string }>()
const emit = defineEmits<{ done: [] }>()
const yours = useYoursStore()
const by = ref('')
const words = ref('')
onMounted(async () => {
  const answer = await ask<{ name: string }>('POST', 'crew/invited', { token: props.token })
  if (answer.ok) by.value = answer.value.name
  else words.value = answer.words
})
async function go() {
  const done = await yours.goAlong(props.token)
  if (done.ok) emit('done')
  else words.value = done.words
}
</script>

<template>
  <section class="border-b-2 border-ink bg-sunk p-4" aria-label="An invitation">
    <template v-if="by">
      <h2 class="figure text-title font-bold">{{ by }} asks you along</h2>
      <p class="max-w-prose">
        You then see of each other’s days when and how many; not what was thrown, and not where. Either of you may
        change what the other sees, at any time.
        <b v-if="!yours.isAccount">It needs a name first: make a passkey or a password below.</b>
      </p>
      <p class="mt-3 flex flex-wrap gap-2">
        <button type="button" class="action disabled:opacity-60" :disabled="yours.busy || !yours.isAccount" @click="go">
          Go along
        </button>
        <button type="button" class="quiet" @click="emit('done')">Not now</button>
      </p>
    </template>
    <p v-if="words" role="status" class="font-semibold">{{ words }}</p>
    <button v-if="words && !by" type="button" class="quiet mt-2" @click="emit('done')">Close</button>
  </section>
</template>
