<script setup lang="ts">
import { ownFinishes } from '#core/box/own'
import { finishesOf } from '#core/lure/finish'
import type { LureId } from '#core/lure/types'
import type { Difference, Rod } from '#shared/schema/record'
import { useBoxStore } from '~/box/store'
import { useFinish } from '~/box/useFinish'
import { LURE_OPTIONS } from '~/words/options'
import Choice from '~/common/Choice.vue'
import LineField from '~/common/LineField.vue'
import ConditionRow from '~/common/rows/ConditionRow.vue'
import HandFigure from '~/figures/HandFigure.vue'

/** A rod as it is rigged, with what of it may be chosen here. */
const props = defineProps<{
  name: string
  rod: Rod
  may: readonly Difference[]
  /** Finishes in the order of the moment; those not in it follow as the catalogue has them. */
  order?: readonly string[]
  /** Lures of the box in colours of one's own may be chosen too. */
  own?: boolean
}>()
const emit = defineEmits<{ change: [rod: Rod] }>()
const box = useBoxStore()
const { finishOf, finishName } = useFinish()
const of = (what: string) => `${what} of ${props.name.toLowerCase()}`
const setLure = (lure: LureId) => emit('change', { ...props.rod, lure, finishId: finishesOf(lure)[0]!.id })
const finishOptions = () => {
  const { lure } = props.rod
  const own = ownFinishes(props.own ? box.own.filter(o => o.lure === lure) : [])
  const place = (id: string) => {
    const at = props.order?.indexOf(id) ?? -1
    return at < 0 ? Infinity : at
  }
  const all = [...own, ...finishesOf(lure)].map((f, i) => ({ f, i, at: place(f.id) }))
  return all.sort((a, b) => (a.at === b.at ? a.i - b.i : a.at - b.at)).map(({ f }) => ({ value: f.id, words: f.name }))
}
const WORDS = [
  { key: 'line', like: 'Line, like 10 lb braid' },
  { key: 'size', like: 'Size, like 5 in or 3/8 oz' },
] as const
</script>

<template>
  <ConditionRow :label="name">
    <span class="flex flex-wrap items-center gap-2">
      <span class="block h-11 w-21 bg-plate p-1">
        <HandFigure v-if="finishOf(rod.finishId)" :finish="finishOf(rod.finishId)!" :line="2.4" />
      </span>
      <Choice
        v-if="may.includes('lure')"
        :label="of('Lure')"
        :value="rod.lure"
        :options="LURE_OPTIONS"
        @change="setLure"
      />
      <Choice
        v-if="may.includes('finish')"
        :label="of('Finish')"
        :value="rod.finishId"
        :options="finishOptions()"
        @change="finishId => $emit('change', { ...rod, finishId })"
      />
      <b v-else>{{ finishName(rod.finishId) }}</b>
      <template v-for="w in WORDS" :key="w.key">
        <LineField
          v-if="may.includes(w.key)"
          :label="of(w.key === 'line' ? 'Line' : 'Size')"
          :value="rod[w.key] ?? ''"
          :like="w.like"
          :most="40"
          @change="text => $emit('change', { ...rod, [w.key]: text || undefined })"
        />
      </template>
      <slot />
    </span>
  </ConditionRow>
</template>
