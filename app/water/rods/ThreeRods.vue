<script setup lang="ts">
import { computed } from 'vue'
import { knownFinish } from '#core/box/own'
import type { RodOut } from '#core/ranking/answer'
import { ROD_WORDS } from '~/words/options'
import HandFigure from '~/figures/HandFigure.vue'

/** The rotation: three rods that differ in kind, with when to change. */
const props = defineProps<{ rods: RodOut[]; selectedId: string | null }>()
defineEmits<{ select: [id: string] }>()
const rods = computed(() => props.rods.map(r => ({ ...r, full: knownFinish(r.finishId)! })))
</script>

<template>
  <ul class="grid grid-cols-3 gap-x-3 max-[900px]:grid-cols-1" aria-label="Three rods">
    <li v-for="r in rods" :key="r.role">
      <button
        type="button"
        class="block w-full text-left max-sm:py-2"
        :aria-pressed="r.finishId === selectedId"
        :title="r.why"
        @click="$emit('select', r.finishId)"
      >
        <svg class="block h-2.25 w-full" viewBox="0 0 150 9" preserveAspectRatio="none" aria-hidden="true">
          <path d="M0 2h26v4H0ZM26 3L150 4.4L26 5.2Z" fill="var(--ink)" />
          <path d="M14 6v2M52 5v2.6M88 5v2M120 5v1.6" stroke="var(--ink)" stroke-width="1.2" />
        </svg>
        <span class="flex gap-1.5 pt-1">
          <span
            class="h-10 w-14 shrink-0 bg-plate p-0.5"
            :class="r.finishId === selectedId ? 'outline-2 outline-ink' : ''"
          >
            <HandFigure :finish="r.full" :line="3" />
          </span>
          <span class="min-w-0 leading-tight">
            <span class="block font-bold">{{ ROD_WORDS[r.role] }}</span>
            <span class="line-clamp-3 text-note wrap-anywhere max-sm:text-name">{{ r.finish.name }}</span>
          </span>
        </span>
        <span class="block pt-0.5 text-note leading-tight text-ink2">{{ r.when }}</span>
      </button>
    </li>
  </ul>
</template>
