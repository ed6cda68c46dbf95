<script setup lang="ts">
import { Popover, PopoverButton, PopoverPanel } from '@headlessui/vue'
import { useElementSize } from '@vueuse/core'
import { computed, ref } from 'vue'
import { LURE_IDS, LURES, type LureId } from '#core/lure/types'
import { useReadingStore } from '~/reading/store'
import { rackOf, takenOut } from '~/reading/rack'
import { useSettingsStore } from '~/settings/store'
import { LURE_OPTIONS } from '~/words/options'
import LureTile from './LureTile.vue'

defineEmits<{ lures: [] }>()
/** The rack of lure types at hand, and the drawer with all of them: any is two taps away. */
const store = useReadingStore()
const settings = useSettingsStore()
const words = Object.fromEntries(LURE_OPTIONS.map(o => [o.value, o.words]))
const root = ref<HTMLElement | null>(null)
const { width } = useElementSize(root)
/** Breadth of a tile, and of the two handles beside them, px. */
const [TILE_PX, DRAWER_PX] = [60, 136] as const
const fits = computed(() => Math.max(1, Math.floor((width.value - DRAWER_PX) / TILE_PX)))
const rack = computed(() => rackOf(settings.rack, store.reading.lure, fits.value))
const drawer = computed(() => [...new Set([...rack.value, ...LURE_IDS])])
function take(lure: LureId, close: () => void) {
  settings.rack = takenOut(settings.rack, lure, fits.value)
  store.setLure(lure)
  close()
}
defineExpose({ focus: () => root.value?.querySelector<HTMLInputElement>('input:checked')?.focus() })
</script>

<template>
  <div ref="root" class="region z-10 flex min-w-0 shrink-0 border-b border-ink">
    <fieldset class="flex min-w-0 flex-1">
      <legend class="off">Lure type</legend>
      <label
        v-for="id in rack"
        :key="id"
        :class="[
          'relative flex min-w-0 flex-1 cursor-pointer',
          'has-focus-visible:outline-3 has-focus-visible:-outline-offset-3',
        ]"
      >
        <input
          type="radio"
          name="lure"
          class="off"
          :value="id"
          :checked="store.reading.lure === id"
          :aria-label="words[id]"
          @change="store.setLure(id)"
        />
        <LureTile :lure="id" :chosen="store.reading.lure === id" />
      </label>
    </fieldset>
    <button
      type="button"
      class="figure w-17 border-l border-ink text-label leading-tight font-semibold"
      @click="$emit('lures')"
    >
      Which
      <span class="block">lure here?</span>
    </button>
    <Popover class="flex">
      <PopoverButton class="figure w-17 border-l border-ink text-label leading-tight font-semibold">
        All {{ LURE_IDS.length }}
        <span class="block">lures ▾</span>
      </PopoverButton>
      <PopoverPanel
        v-slot="{ close }"
        class="absolute inset-x-0 top-full z-40 max-h-[70dvh] overflow-y-auto border-2 border-ink bg-page"
        focus
      >
        <ul class="grid grid-cols-[repeat(auto-fill,minmax(84px,1fr))]" aria-label="All lure types">
          <li v-for="id in drawer" :key="id">
            <button
              type="button"
              class="h-14 w-full"
              :aria-label="LURES[id].words"
              :aria-pressed="store.reading.lure === id"
              :data-lure="id"
              @click="take(id, close)"
            >
              <LureTile :lure="id" :chosen="store.reading.lure === id" />
            </button>
          </li>
        </ul>
      </PopoverPanel>
    </Popover>
  </div>
</template>
