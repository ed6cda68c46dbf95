<script setup lang="ts">
import { computed } from 'vue'
import type { ShareOut } from '#shared/schema/share'
import { useCopy } from './useCopy'

/** A link that was just made, to be sent on. */
const props = defineProps<{ share: ShareOut }>()
const url = computed(() => `${location.origin}/s/${props.share.id}`)
const { copied, copy } = useCopy(() => url.value)
const canSend = typeof navigator !== 'undefined' && 'share' in navigator
async function send() {
  try {
    await navigator.share({ title: props.share.title, url: url.value })
  } catch {
    // Whoever closes the list of apps has thought better of it.
  }
}
</script>

<template>
  <div class="border-2 border-ink p-3">
    <p>
      <b>{{ share.title }}:</b>
      <a class="break-all underline" :href="url" target="_blank" rel="noopener" data-testid="shared-link">{{ url }}</a>
    </p>
    <p class="mt-2 flex flex-wrap gap-2">
      <button type="button" class="quiet" @click="copy">Copy the link</button>
      <button v-if="canSend" type="button" class="quiet" @click="send">Send it</button>
    </p>
    <p class="text-ink2">No place and no water’s name are in it. Take it back in Yours.</p>
    <p v-if="copied" role="status" class="font-semibold">{{ copied }}</p>
  </div>
</template>
