<script setup lang="ts">
import { useKeeping } from '~/kept/useKeeping'

/** Keep the call in one tap, said and undone in the same place. */
defineProps<{ /** As the bar along the foot of a phone, with the name of what is chosen. */ bar?: boolean }>()
const { selected, hindrance, keep, justKept, takeBack } = useKeeping()
</script>

<template>
  <div v-if="bar" class="flex h-18 landscape:h-12 border-t-2 border-ink bg-page">
    <p class="min-w-0 flex-1 px-3 py-2 leading-tight">
      <template v-if="justKept">
        <span role="status" class="block truncate">
          Kept:
          <b>{{ justKept.name }}</b>
        </span>
        <button type="button" class="min-h-8 underline" @click="takeBack">Take back</button>
      </template>
      <template v-else>
        <span class="block text-small text-ink2">Chosen</span>
        <b :class="hindrance ? 'line-clamp-1' : 'line-clamp-2'">{{ selected?.name }}</b>
        <span v-if="hindrance" class="line-clamp-2 text-label">{{ hindrance }}</span>
      </template>
    </p>
    <button type="button" class="action h-full text-value disabled:opacity-60" :disabled="!!hindrance" @click="keep">
      I tied this on
    </button>
  </div>
  <div v-else class="flex min-w-0 flex-1 items-center gap-3">
    <p v-if="justKept" role="status" class="ml-auto flex min-w-0 items-center gap-2">
      <span class="truncate">Kept: {{ justKept.name }}.</span>
      <button type="button" class="min-h-11 whitespace-nowrap underline" @click="takeBack">Take back</button>
    </p>
    <p v-else-if="hindrance" class="ml-auto text-note leading-tight">{{ hindrance }}</p>
    <button
      type="button"
      class="action whitespace-nowrap disabled:opacity-60"
      :class="justKept || hindrance ? '' : 'ml-auto'"
      :disabled="!!hindrance"
      @click="keep"
    >
      I tied this on
    </button>
  </div>
</template>
