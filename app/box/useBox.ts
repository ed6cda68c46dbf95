import { until, useTimeoutFn } from '@vueuse/core'
import { type Ref, computed, onScopeDispose, ref, shallowRef, watch } from 'vue'
import { type OwnLure, hasOwnCoats } from '#core/box/own'
import type { KitAnswer, KitProgress } from '#core/kit/kit'
import type { SampleAsk } from '#core/kit/sample'
import type { KitScene, SceneScores } from '#core/kit/scenes'
import type { LureId } from '#core/lure/types'
import type { Request } from '#core/request/request'
import { engineWorker } from '~/common/engineWorker'
import { newestOnly } from '~/common/newestOnly'
import { workerClient } from '~/common/workerClient'
import type { MapShown, SameShown, TrayShown } from './work'

/** Scenes scored between two looks at whether something newer was asked: well under the 200 ms a stop may take. */
const AT_ONCE = 10
/** The kit waits until the box rests this long, ms. */
const REST_MS = 400
/** Where chance begins: the same box gives the same kit. */
const SEED = 20260511
/** The largest kit worked out. */
export const MOST_KIT = 12
/** Scenes of a lure that a finish is compared in before it is bought. */
const SAME_SCENES = 60

const boxClient = () =>
  workerClient(
    () => engineWorker('box'),
    async () => (await import('./work')).boxApi,
  )

const typesOf = (owned: readonly OwnLure[]) => [...new Set(owned.map(o => o.lure))].sort()

export interface BoxQuestion {
  request: Request
  owned: OwnLure[]
  fishM: number
  /** The lure type that is mapped; null where no map is looked at. */
  mapped: LureId | null
}

/** What a kit is for: waters to draw scenes from, or scenes that were fished; and what must and must not be in it. */
export interface KitQuestion {
  of: { sample: Omit<SampleAsk, 'lures'> } | { scenes: KitScene[] }
  keep: string[]
  drop: string[]
}

/**
 * The box worked out in workers: one for how it looks in today's water, type by type, and one for the kit, which takes
 * seconds and may be stopped.
 * @param hurry while the page needs every core, as for a list under a finger, the kit takes no further step
 */
export function useBox(
  ask: () => BoxQuestion,
  kitAsk: () => KitQuestion | null,
  hurry: Readonly<Ref<boolean>> = ref(false),
) {
  const trays = shallowRef<TrayShown[]>([])
  const map = shallowRef<MapShown | null>(null)
  const failed = ref(false)
  const kit = shallowRef<KitAnswer | null>(null)
  const kitProgress = shallowRef<{ share: number; gap: number | null } | null>(null)
  const stopped = ref(false)
  const today = boxClient()
  const counting = boxClient()
  const calm = () => until(hurry).toBe(false)
  const looks = newestOnly()
  const kits = newestOnly()
  let scored: { key: string; scores: SceneScores[] } | null = null

  async function look(): Promise<void> {
    const stale = looks.begin()
    const { request, owned, fishM, mapped } = ask()
    const lures = typesOf(owned)
    const out: TrayShown[] = []
    try {
      for (const lure of lures) {
        const of = owned.filter(o => o.lure === lure)
        out.push(await today.api.tray({ request, lure, owned: of, fishM }))
        if (stale()) return
        // What is not worked out anew yet stays as it was.
        trays.value = lures.flatMap(l => out.find(t => t.lure === l) ?? trays.value.find(t => t.lure === l) ?? [])
      }
      trays.value = out
      const ofType = owned.filter(o => o.lure === mapped)
      map.value = mapped ? await today.api.map({ request, lure: mapped, owned: ofType, fishM }) : null
      failed.value = false
    } catch {
      if (!stale()) failed.value = true
    }
  }

  /** Scenes as they are fished, scored once for all kits of the same lures. */
  async function score(of: KitQuestion['of'], owned: OwnLure[], stale: () => boolean) {
    const own = owned.filter(hasOwnCoats)
    const lures = typesOf(owned)
    const key = JSON.stringify([of, lures, own])
    if (scored?.key === key) return scored.scores
    const scenes =
      'scenes' in of
        ? of.scenes.filter(s => lures.includes(s.lure))
        : await counting.api.sample({ ...of.sample, lures }, SEED)
    const scores: SceneScores[] = []
    for (let i = 0; i < scenes.length; i += AT_ONCE) {
      await calm()
      if (stale()) return null
      const some = scenes.slice(i, i + AT_ONCE)
      scores.push(...(await counting.api.score({ scenes: some, owned: own })))
      if (stale()) return null
      kitProgress.value = { share: (0.9 * scores.length) / scenes.length, gap: null }
    }
    scored = { key, scores }
    return scores
  }

  async function choose(): Promise<void> {
    const stale = kits.begin()
    const { owned } = ask()
    const question = kitAsk()
    stopped.value = false
    if (!owned.length || !question) {
      kit.value = null
      kitProgress.value = null
      return
    }
    try {
      kitProgress.value = { share: 0, gap: null }
      const scores = await score(question.of, owned, stale)
      await calm()
      if (!scores || stale()) return
      const { keep, drop } = question
      const most = Math.max(keep.length, Math.min(MOST_KIT, owned.length))
      let step = await counting.api.beginKit({ scored: scores, owned, most, keep, drop })
      while ('progress' in step) {
        await calm()
        if (stale()) return
        const { done, total, gap }: KitProgress = step.progress
        kitProgress.value = { share: 0.9 + (0.1 * done) / total, gap }
        step = await counting.api.goOnWithKit()
      }
      if (stale()) return
      kit.value = step.answer
      failed.value = false
    } catch {
      if (!stale()) failed.value = true
    } finally {
      if (!stale()) kitProgress.value = null
    }
  }
  // Begun anew at every start, and dropped when its place is left: nobody would end the worker it made.
  const { start: chooseSoon, stop: leaveIt } = useTimeoutFn(choose, REST_MS, { immediate: false })
  function stop(): void {
    // Nor does what was about to begin.
    leaveIt()
    kits.drop()
    stopped.value = true
    kitProgress.value = null
  }

  /** What of the box a finish is the same as to the fish, in the waters that are fished. */
  async function sameAs(finishId: string): Promise<SameShown[]> {
    const { owned } = ask()
    const lure = finishId.split('.')[0] as LureId
    const of = kitAsk()?.of
    if (!of) return []
    const scenes =
      'scenes' in of
        ? of.scenes.filter(s => s.lure === lure).slice(0, SAME_SCENES)
        : await today.api.sample({ ...of.sample, lures: [lure], moments: SAME_SCENES }, SEED)
    return today.api.same({ scenes, finishId, owned })
  }

  watch(ask, () => void look(), { immediate: true })
  watch(
    () => JSON.stringify([ask().owned, kitAsk()]),
    () => chooseSoon(),
    { immediate: true },
  )
  onScopeDispose(() => {
    looks.drop()
    kits.drop()
    today.end()
    counting.end()
  })
  const lookCount = computed(() => trays.value.reduce((s, t) => s + new Set(t.finishes.map(f => f.look)).size, 0))
  return { trays, map, failed, kit, kitProgress, stopped, stop, choose, sameAs, lookCount }
}
