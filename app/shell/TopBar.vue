<script setup lang="ts">
import { useRoute } from 'vue-router'
import { THEMES, useSettingsStore } from '~/settings/store'
import { cap } from '~/words/options'
import MadeUpMark from '~/made-up/MadeUpMark.vue'
import PlaceTabs from './PlaceTabs.vue'
import WhereWhen from './WhereWhen.vue'

/**
 * The one bar of every place: the name and the places, what the place adds of its own, where and when, units, and the
 * light to read in. On a phone the name and where and when stand at the head, the rest at the foot, and the places
 * under the thumb.
 */
defineProps<{ part: 'whole' | 'head' | 'foot' }>()
defineEmits<{ where: [] }>()
const settings = useSettingsStore()
const route = useRoute()
</script>

<template>
  <header
    class="region flex min-h-11 flex-wrap items-stretch text-bar font-semibold"
    :class="part === 'foot' ? 'border-y-2 border-ink' : 'border-b-2 border-ink'"
  >
    <template v-if="part !== 'foot'">
      <h1
        class="wide flex items-center px-4 text-lead font-extrabold"
        :class="part === 'whole' ? 'max-[1179px]:sr-only' : ''"
      >
        Piscator
      </h1>
      <PlaceTabs v-if="part === 'whole'" />
      <MadeUpMark :class="part === 'head' ? 'ml-auto' : 'ml-3'" />
      <WhereWhen v-if="part === 'head'" always class="ml-auto" @change="$emit('where')" />
    </template>
    <template v-if="part !== 'head'">
      <span class="bars flex" :class="part === 'whole' ? 'ml-3 border-l border-hair pl-1' : ''"><slot /></span>
      <span class="ml-auto flex">
        <WhereWhen v-if="part === 'whole'" class="mr-2 max-[899px]:hidden" @change="$emit('where')" />
        <NuxtLink
          to="/yours"
          prefetch-on="interaction"
          class="bar flex items-center"
          :class="route.path === '/yours' ? 'chosen font-bold' : ''"
          :aria-current="route.path === '/yours' ? 'page' : undefined"
        >
          Yours
        </NuxtLink>
        <button
          type="button"
          class="bar"
          :aria-label="
            settings.units === 'us'
              ? 'Feet and Fahrenheit. Change to metres and Celsius'
              : 'Metres and Celsius. Change to feet and Fahrenheit'
          "
          @click="settings.units = settings.units === 'us' ? 'metric' : 'us'"
        >
          {{ settings.units === 'us' ? 'ft °F' : 'm °C' }}
        </button>
        <fieldset class="flex">
          <legend class="off">Light to read in</legend>
          <label
            v-for="t in THEMES"
            :key="t"
            :class="[
              'flex cursor-pointer items-center px-2.25 max-[1339px]:px-1.5 has-focus-visible:outline-3',
              'has-focus-visible:-outline-offset-3',
              settings.theme === t ? 'border-t-[7px] border-ink pb-1.75 font-bold' : 'text-ink2',
            ]"
          >
            <input v-model="settings.theme" type="radio" name="theme" class="off" :value="t" />
            {{ cap(t) }}
          </label>
        </fieldset>
      </span>
    </template>
  </header>
</template>

<style scoped>
.bar,
.bars > :deep(button) {
  padding-inline: 9px;
  min-height: 44px;
  white-space: nowrap;
}
/* Whole on a laptop, in whatever letters come first. */
@media (max-width: 1339px) {
  .bar,
  .bars > :deep(button) {
    padding-inline: 6px;
  }
}
</style>
