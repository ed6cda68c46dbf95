<script setup lang="ts">
import { computed } from 'vue'
import { useSettingsStore } from '~/settings/store'

/** A section of the plate that folds; how it was left is remembered. `brief` is what it says while folded. */
const props = defineProps<{ name: string; title: string; brief?: string }>()
const settings = useSettingsStore()
const open = computed(() => settings.unfolded.includes(props.name))
function turn() {
  settings.unfolded = open.value ? settings.unfolded.filter(n => n !== props.name) : [...settings.unfolded, props.name]
}
</script>

<template>
  <section class="fold border-t border-ink">
    <h3>
      <button
        type="button"
        class="flex min-h-11 w-full items-center gap-2 text-left"
        :aria-expanded="open"
        @click="turn"
      >
        <span class="figure text-value font-bold max-sm:text-lead">{{ title }}</span>
        <span class="ml-auto text-right text-note leading-tight text-ink2">{{ brief }}</span>
        <svg width="12" height="8" viewBox="0 0 12 8" class="shrink-0" aria-hidden="true">
          <path :d="open ? 'M1 7L6 2L11 7' : 'M1 1L6 6L11 1'" fill="none" stroke="currentColor" stroke-width="1.8" />
        </svg>
      </button>
    </h3>
    <div v-if="open" class="pb-2"><slot /></div>
  </section>
</template>

<style scoped>
/* Sections out of sight are neither laid out nor painted until scrolled to. */
.fold {
  content-visibility: auto;
  contain-intrinsic-height: auto 46px;
}
</style>
