import { defineStore } from 'pinia'
import { v7 as newId } from 'uuid'
import { computed, ref } from 'vue'
import { type OwnLure, hasOwnCoats, ownFinish } from '#core/box/own'
import type { Finish } from '#core/lure/finish'
import type { LureRecord } from '#shared/schema/record'
import { type Kept, useRecordsStore } from '~/records/store'

/** How the box is sorted: by what the fish sees, by where it is kept, or on a map of looks. */
export type BoxView = 'fish' | 'place' | 'map'

/** A lure of the box with what it looks like; none where the catalogue no longer has its finish. */
export interface BoxLure extends Kept<'lure'> {
  finish: Finish | null
}

/** Most changes that can be taken back. */
const STEPS = 50

export const ownOf = ({ id, body }: Kept<'lure'>): OwnLure => ({
  id,
  lure: body.lure,
  finishId: body.finishId,
  name: body.name,
  coats: body.coats,
})

/** The lures an angler owns. */
export const useBoxStore = defineStore('box', () => {
  const records = useRecordsStore()
  const undone = ref<{ id: string; body: LureRecord | null }[][]>([])

  const all = computed<BoxLure[]>(() =>
    records
      .list('lure')
      .map(k => ({ ...k, finish: ownFinish(ownOf(k)) }))
      .sort((a, b) => a.body.lure.localeCompare(b.body.lure) || a.body.name.localeCompare(b.body.name)),
  )
  const carried = computed(() => all.value.filter(l => !l.body.retired && l.body.count > 0))
  /** Ids of the finishes that are carried, own ones by their own. */
  const finishIds = computed(() => [...new Set(carried.value.flatMap(l => (l.finish ? [l.finish.id] : [])))])
  /** Those that wear colours of one's own. */
  const own = computed(() => carried.value.map(ownOf).filter(hasOwnCoats))
  const bodyOf = (id: string) => all.value.find(l => l.id === id)?.body ?? null

  /** Change the box: several lures at once are one step to take back. */
  async function change(writes: readonly { id: string; body: LureRecord | null }[]): Promise<void> {
    if (!writes.length) return
    undone.value = [...undone.value.slice(-STEPS + 1), writes.map(({ id }) => ({ id, body: bodyOf(id) }))]
    await records.write('lure', writes)
  }
  async function undo(): Promise<void> {
    const back = undone.value.at(-1)
    if (!back) return
    undone.value = undone.value.slice(0, -1)
    await records.write('lure', back)
  }
  /** One more of a finish of the catalogue: another piece where it is in the box already. */
  async function add(finish: Finish): Promise<string> {
    const known = all.value.find(l => l.body.finishId === finish.id && !l.body.coats && !l.body.retired)
    const id = known?.id ?? newId()
    const body: LureRecord = known
      ? { ...known.body, count: known.body.count + 1 }
      : {
          lure: finish.lure,
          finishId: finish.id,
          name: finish.name,
          count: 1,
          wear: 'new',
          keptIn: '',
          note: '',
          retired: false,
        }
    await change([{ id, body }])
    return id
  }
  const edit = (id: string, patch: Partial<LureRecord>) => {
    const body = bodyOf(id)
    return body ? change([{ id, body: { ...body, ...patch } }]) : Promise.resolve()
  }
  const remove = (id: string) => change([{ id, body: null }])
  return {
    all,
    carried,
    finishIds,
    own,
    change,
    undo,
    canUndo: computed(() => undone.value.length > 0),
    add,
    edit,
    remove,
  }
})
