<script setup lang="ts">
import { useRoute } from 'vue-router'
import { PLACES } from '~/places'

/** The places: words in the bar, or tabs under the thumb of a phone. */
defineProps<{ foot?: boolean }>()
const route = useRoute()
const isHere = (to: string) => (to === '/' ? route.path === '/' : route.path.startsWith(to))
</script>

<template>
  <nav class="flex" :class="foot ? 'h-15 border-t-2 border-ink bg-page' : ''" aria-label="Places">
    <NuxtLink
      v-for="p in PLACES"
      :key="p.to"
      :to="p.to"
      prefetch-on="interaction"
      class="flex items-center text-bar"
      :class="[
        foot ? 'flex-1 justify-center text-value' : 'px-2.25 max-[999px]:px-1.5',
        isHere(p.to) ? 'border-t-[7px] border-ink pb-1.75 font-bold' : 'font-semibold',
      ]"
      :aria-current="isHere(p.to) ? 'page' : undefined"
    >
      {{ p.words }}
    </NuxtLink>
  </nav>
</template>
