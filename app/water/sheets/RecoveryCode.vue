<script setup lang="ts">
import { ref } from 'vue'
import { useRecovery } from '~/kept/useRecovery'
import { useSettingsStore } from '~/settings/store'

/** What is kept beyond this device: under which code, and how exact a place. */
const { code, words, busy, make, use } = useRecovery()
const settings = useSettingsStore()
const typed = ref('')
</script>

<template>
  <section class="mt-6 border-t border-ink pt-3">
    <h3 class="figure text-value font-bold">Another device</h3>
    <p class="text-ink2">
      A code that you write down brings your kept calls to another device, or back to this one after its memory is
      cleared. Whoever has the code has your calls.
    </p>
    <p v-if="code" class="figure my-2 text-lead font-bold select-all" data-testid="recovery-code">{{ code }}</p>
    <button type="button" class="min-h-11 underline" :disabled="busy" @click="make">
      {{ code ? 'Make another code; this one is void then' : 'Make a code to write down' }}
    </button>
    <form class="mt-2 flex flex-wrap items-end gap-2" @submit.prevent="use(typed)">
      <label class="flex-1">
        <span class="block">A code from another device</span>
        <input
          v-model="typed"
          autocomplete="off"
          autocapitalize="characters"
          spellcheck="false"
          class="figure min-h-11 w-full border border-ink px-2"
        />
      </label>
      <button type="submit" class="min-h-11 border border-ink px-3 font-semibold" :disabled="busy || !typed.trim()">
        Bring them here
      </button>
    </form>
    <p v-if="words" role="status" class="mt-2 font-semibold">{{ words }}</p>
    <label class="mt-4 flex min-h-11 items-center gap-3">
      <input v-model="settings.exactPlace" type="checkbox" class="size-6 accent-ink" />
      <span>
        Keep the exact place with a call
        <span class="block text-ink2">Else it is rounded to about a kilometre (half a mile).</span>
      </span>
    </label>
  </section>
</template>
