<script setup lang="ts" generic="T extends string">
/** Some of many, each by a tick. */
defineProps<{ options: readonly { value: T; words: string }[]; on: (value: T) => boolean }>()
defineEmits<{ turn: [value: T] }>()
</script>

<template>
  <div class="grid grid-cols-2">
    <label v-for="o in options" :key="o.value" class="flex min-h-11 items-center gap-2">
      <input
        type="checkbox"
        class="size-5 shrink-0 accent-ink"
        :checked="on(o.value)"
        @change="$emit('turn', o.value)"
      />
      {{ o.words }}
    </label>
  </div>
</template>
