<script setup lang="ts">
import { useVirtualList } from '@vueuse/core'
import { computed, ref, watch } from 'vue'
import { useAnswers } from '../../composables/useScreen'
import { useUnits } from '../../composables/useUnits'
import { useSceneStore } from '../../stores/scene'
import { useSettingsStore } from '../../stores/settings'
import { SCHOOL_OPTIONS } from '../../utils/words'
import Choice from '../common/Choice.vue'
import CallRow from './CallRow.vue'

/** The ranked calls: as many rows as fit are drawn, the rest when they are scrolled to. */
const props = defineProps<{ phone: boolean }>()
const emit = defineEmits<{ select: [id: string], move: [id: string] }>()
const { list: screen } = useAnswers()
const store = useSceneStore()
const settings = useSettingsStore()
const { lengthNumber, length } = useUnits()

const calls = computed(() => screen.value?.rows ?? [])
const maxM = computed(() => Math.max(0.1, ...calls.value.map(c => c.sightM)) * 1.04)
const rowHeight = computed(() => props.phone ? 169 : 105)
const { list, containerProps, wrapperProps, scrollTo } = useVirtualList(calls, { itemHeight: () => rowHeight.value, overscan: 1 })

/** On a phone the page itself scrolls: the first few, then all on request. */
const FIRST_FEW = 6
const showAll = ref(false)
const rows = computed(() => props.phone ? (showAll.value ? calls.value : calls.value.slice(0, FIRST_FEW)).map((data, index) => ({ data, index })) : list.value)

/** Group of look-alikes each finish is in. */
const groupOf = computed(() => {
  const out = new Map<string, string[]>()
  for (const g of screen.value?.answer.lookAlikes ?? []) for (const id of g) out.set(id, g)
  return out
})
const rankOf = computed(() => new Map(calls.value.map(c => [c.finishId, c.rank])))
function alike(id: string): string | null {
  const others = (groupOf.value.get(id) ?? []).filter(x => x !== id).map(x => rankOf.value.get(x)!).sort((a, b) => a - b)
  return others.length ? `Looks like ${others.slice(0, 2).join(', ')}${others.length > 2 ? ` +${others.length - 2}` : ''}` : null
}
/** Neighbours in the list that the fish cannot tell apart are joined by a bracket. */
function joined(i: number): 'none' | 'start' | 'middle' | 'end' {
  const g = (k: number) => groupOf.value.get(calls.value[k]?.finishId ?? '')
  const here = g(i)
  if (!here) return 'none'
  const up = g(i - 1) === here
  const down = g(i + 1) === here
  return up && down ? 'middle' : up ? 'end' : down ? 'start' : 'none'
}
const watchers = [{ value: 'diver' as const, words: 'as a diver sees it' }, { value: 'fish' as const, words: 'as the fish sees it' }]
watch(() => store.scene.lure, () => scrollTo(0))
/** Step the choice up or down the list. */
function step(by: 1 | -1) {
  const i = Math.max(0, Math.min(calls.value.length - 1, calls.value.findIndex(c => c.finishId === screen.value?.selectedId) + by))
  if (calls.value[i]) {
    emit('move', calls.value[i].finishId)
    scrollTo(Math.max(0, i - 1))
  }
}
defineExpose({ step })
</script>

<template>
  <section class="flex min-h-0 flex-col" aria-label="Ranked calls">
    <div class="flex flex-wrap items-stretch border-b border-ink text-[13px] max-md:order-last max-md:border-t max-md:text-[15px]">
      <Choice class="w-[190px]" label="School" :value="store.scene.school" :options="SCHOOL_OPTIONS" @change="v => store.set({ school: v })" />
      <Choice class="min-w-[170px] flex-1" label="The picture at the fish" :value="settings.watcher" :options="watchers" @change="v => settings.watcher = v" />
      <span class="flex items-center gap-3 px-3 text-ink2 max-sm:w-full max-sm:py-1.5" aria-hidden="true">
        <span class="flex items-center gap-1"><span class="inline-block h-[6px] w-5 bg-ink" />colour</span><span class="flex items-center gap-1"><span class="inline-block w-5 border-t-[1.6px] border-ink" />shape</span><span class="figure font-semibold">0–{{ lengthNumber(maxM) }} {{ length.unit }}</span>
      </span>
    </div>
    <p v-if="settings.watcher === 'fish'" class="border-b border-hair px-3 py-1 text-[13px] text-ink2">False colour from two kinds of cone: red is its red-orange cone, blue-green its green one, grey the water it is used to.</p>
    <p class="off" aria-live="polite">{{ calls[0] ? `First pick: ${calls[0].name}` : '' }}</p>
    <div v-if="!screen" class="flex flex-1 flex-col" aria-busy="true">
      <p class="p-3">Working out what the fish can see …</p>
      <div v-for="i in 5" :key="i" class="flex h-[105px] gap-3 border-b border-hair p-2"><span class="h-[78px] w-[228px] bg-sunk" /><span class="h-4 w-40 bg-sunk" /></div>
    </div>
    <div v-else v-bind="phone ? {} : containerProps" :class="phone ? '' : 'min-h-0 flex-1'" tabindex="-1">
      <div v-bind="phone ? {} : wrapperProps">
        <CallRow
          v-for="{ data, index } in rows" :key="index" :call="data" :seen="screen.seen[data.finishId]" :fish-m="screen.fishM" :max-m="maxM"
          :selected="data.finishId === screen.selectedId" :phone="phone" :alike="alike(data.finishId)" :joined="joined(index)" @select="emit('select', data.finishId)"
        />
      </div>
      <button v-if="phone && !showAll && calls.length > FIRST_FEW" type="button" class="min-h-12 w-full border-b border-ink font-semibold" @click="showAll = true">All {{ calls.length }} calls</button>
    </div>
  </section>
</template>
