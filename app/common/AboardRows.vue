<script setup lang="ts">
import { computed, ref, watch } from 'vue'
import LineField from './LineField.vue'

/** Who is aboard, by name; names are kept as the number of anglers is changed. */
const props = defineProps<{ most: number }>()
const crew = defineModel<string[]>({ required: true })
const counts = computed(() => Array.from({ length: props.most }, (_, i) => i + 1))
const aboard = ref(1)
const names = ref(Array.from({ length: props.most }, () => ''))
const named = computed(() =>
  names.value.slice(0, aboard.value).map((n, i) => n.trim() || (aboard.value > 1 ? `Angler ${i + 1}` : '')),
)
watch(named, all => (crew.value = all), { immediate: true })
</script>

<template>
  <div>
    <div class="flex items-center justify-between border-b border-ink pb-2">
      <h3 class="figure text-lead font-bold">Aboard</h3>
      <div class="flex border border-ink" role="radiogroup" aria-label="How many fish">
        <button
          v-for="n in counts"
          :key="n"
          type="button"
          role="radio"
          class="figure size-11 font-semibold"
          :class="aboard === n ? 'chosen' : ''"
          :aria-checked="aboard === n"
          @click="aboard = n"
        >
          {{ n }}
        </button>
      </div>
    </div>
    <label v-for="i in aboard" :key="i" class="flex min-h-13 items-center gap-3 border-b border-hair">
      <span class="w-24 text-ink2">{{ aboard > 1 ? `Column ${i}` : 'You' }}</span>
      <LineField
        :label="`Name of angler ${i}`"
        :value="names[i - 1]!"
        :like="`Angler ${i}`"
        :most="40"
        @change="n => (names = names.with(i - 1, n))"
      />
    </label>
    <p v-if="aboard > 1" class="pt-2 leading-snug"><slot /></p>
  </div>
</template>
