<script setup lang="ts">
import { computed, ref, watch } from 'vue'
import { type Finish, finishById, finishesOf } from '#core/lure/finish'
import type { LureId } from '#core/lure/types'
import { useBoxStore } from './store'
import type { SameShown } from './work'
import Choice from '~/common/Choice.vue'
import HandFigure from '~/figures/HandFigure.vue'
import { LURE_OPTIONS } from '~/words/options'

/** Put lures into the box from the catalogue, and see first whether one like it is there already. */
const props = defineProps<{ first: string | null; lure: LureId; sameAs: (finishId: string) => Promise<SameShown[]> }>()
const emit = defineEmits<{ edit: [id: string] }>()
const box = useBoxStore()
const type = ref<LureId>((props.first?.split('.')[0] as LureId | undefined) ?? props.lure)
const looked = ref<Finish | null>(props.first ? finishById(props.first) : null)
const finishes = computed(() => finishesOf(type.value))
const owned = computed(() => {
  const out = new Map<string, number>()
  for (const l of box.carried) if (l.finish) out.set(l.finish.id, (out.get(l.finish.id) ?? 0) + l.body.count)
  return out
})
const same = ref<{ name: string; of10: number } | null>(null)
const asking = ref(false)
watch(
  looked,
  async finish => {
    same.value = null
    if (!finish) return
    asking.value = true
    const [most] = await props.sameAs(finish.id)
    if (looked.value !== finish) return
    asking.value = false
    const name = most && box.all.find(l => l.id === most.id)?.body.name
    if (most && name && most.of100 >= 30) same.value = { name, of10: Math.round(most.of100 / 10) }
  },
  { immediate: true },
)
const added = ref('')
async function add(finish: Finish, own: boolean) {
  const id = await box.add(finish)
  added.value = finish.name
  if (own) emit('edit', id)
}
</script>

<template>
  <div>
    <div class="flex flex-wrap items-center gap-3">
      <Choice class="min-w-56" label="Lure type" :value="type" :options="LURE_OPTIONS" @change="v => (type = v)" />
      <p v-if="added" role="status">
        In the box:
        <b>{{ added }}</b>
      </p>
    </div>
    <section
      v-if="looked"
      class="my-3 flex flex-wrap items-center gap-4 border-2 border-ink p-3"
      aria-label="Looked at"
    >
      <span class="block h-20 w-40 bg-plate p-1"><HandFigure :finish="looked" :line="2" /></span>
      <div class="min-w-60 flex-1">
        <p class="figure text-value font-bold">{{ looked.name }}</p>
        <p v-if="asking" role="status">Comparing it with your box in your waters …</p>
        <p v-else-if="same">
          The same to the fish as your {{ same.name.toLowerCase() }} in {{ same.of10 }} of 10 of your waters.
        </p>
        <p v-else>Nothing in your box is the same to the fish in three waters of ten.</p>
        <p v-if="owned.get(looked.id)">You have {{ owned.get(looked.id) }}.</p>
      </div>
      <button type="button" class="action" @click="add(looked, false)">Add it</button>
      <button type="button" class="quiet" @click="add(looked, true)">Add it with colours of my own</button>
    </section>
    <ul class="mt-3 grid grid-cols-[repeat(auto-fill,minmax(140px,1fr))] gap-2" aria-label="Catalogue">
      <li v-for="f in finishes" :key="f.id">
        <button
          type="button"
          class="block w-full text-left"
          :aria-pressed="looked?.id === f.id"
          :class="looked?.id === f.id ? 'outline-2 outline-ink' : ''"
          @click="looked = f"
        >
          <span class="block h-16 bg-plate p-1"><HandFigure :finish="f" :line="2" /></span>
          <span class="flex justify-between gap-1 leading-tight">
            <span>{{ f.name }}</span>
            <b v-if="owned.get(f.id)">{{ owned.get(f.id) }}</b>
          </span>
        </button>
      </li>
    </ul>
  </div>
</template>
