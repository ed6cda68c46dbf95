<script setup lang="ts">
import { ref } from 'vue'
import type { ShareInput, ShareOut } from '#shared/schema/share'
import ShareMade from './ShareMade.vue'
import { useYoursStore } from './store'

/** Makes a link that shows one thing as it is now, and says where it is. */
const props = defineProps<{ words: string; input: () => ShareInput; disabled?: boolean }>()
const yours = useYoursStore()
const made = ref<ShareOut | null>(null)
const busy = ref(false)
const fault = ref('')
async function share() {
  busy.value = true
  fault.value = ''
  const done = await yours.share(props.input())
  busy.value = false
  if (done.ok) made.value = done.value
  else fault.value = done.words
}
</script>

<template>
  <div>
    <button type="button" class="quiet" :disabled="busy || disabled" @click="share">
      {{ busy ? 'Making the link …' : words }}
    </button>
    <ShareMade v-if="made" :share="made" class="mt-2" />
    <p v-if="fault" role="alert" class="font-semibold">{{ fault }}</p>
  </div>
</template>
