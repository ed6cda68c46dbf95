<script setup lang="ts">
import type { LureId } from '#core/lure/types'
import { LURE_SHORT } from '~/words/options'
import Silhouette from '~/figures/Silhouette.vue'

/** A lure type in one ink over its short name. */
defineProps<{ lure: LureId; chosen: boolean }>()
</script>

<template>
  <span
    class="narrow flex h-full w-full flex-col items-center py-1 text-small font-semibold"
    :class="chosen ? 'chosen' : ''"
  >
    <span class="h-7.5 w-14"><Silhouette :lure="lure" :chosen="chosen" /></span>
    <span class="leading-[1.05] whitespace-nowrap" aria-hidden="true">{{ LURE_SHORT[lure] }}</span>
  </span>
</template>
