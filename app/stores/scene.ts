import { defineStore } from 'pinia'
import { computed, ref } from 'vue'
import { LURES, lureType } from '#core/finish/lures'
import { LIMITS } from '#shared/vocabulary'
import { type Scene, firstScene } from '../utils/scene'

/** Most undo steps kept. */
const STEPS = 100
/** Changes of the same control within this time are one step, ms. */
const ONE_STEP_MS = 900

const clamp = (v: number, [lo, hi]: readonly [number, number]) => Math.min(hi, Math.max(lo, v))

/** The scene on the screen, every change of which can be undone. */
export const useSceneStore = defineStore('scene', () => {
  const scene = ref<Scene>(firstScene())
  const past = ref<Scene[]>([])
  const future = ref<Scene[]>([])
  let lastKey = ''
  let lastAt = -Infinity

  /** Change some fields. Numbers are held within the contract's limits; a drag counts as one step. */
  function set(patch: Partial<Scene>, at = performance.now()): void {
    const next = { ...scene.value, ...patch }
    next.visibilityM = clamp(next.visibilityM, LIMITS.visibilityM)
    next.fishM = clamp(next.fishM, LIMITS.fishM)
    next.cloud = clamp(next.cloud, LIMITS.share)
    if (next.depthM !== null) next.depthM = clamp(next.depthM, LIMITS.depthM)
    if (next.temperatureC !== null) next.temperatureC = clamp(next.temperatureC, LIMITS.temperatureC)
    if ((Object.keys(patch) as (keyof Scene)[]).every(k => next[k] === scene.value[k])) return
    const key = Object.keys(patch).sort().join()
    if (key !== lastKey || at - lastAt > ONE_STEP_MS) past.value = [...past.value.slice(1 - STEPS), scene.value]
    lastKey = key
    lastAt = at
    future.value = []
    scene.value = next
  }

  /** Another lure keeps the water and the light; depth and side go to what is usual for it. */
  function setLure(lure: Scene['lure']): void {
    const from = lureType(scene.value.lure)
    const to = LURES[lure]
    const side = to.surface ? 'below' : from.surface ? 'level' : scene.value.side
    set({ lure, depthM: null, side })
  }

  function undo(): void {
    const before = past.value.at(-1)
    if (!before) return
    future.value = [scene.value, ...future.value]
    past.value = past.value.slice(0, -1)
    scene.value = before
    lastKey = ''
  }

  function redo(): void {
    const next = future.value[0]
    if (!next) return
    past.value = [...past.value, scene.value]
    future.value = future.value.slice(1)
    scene.value = next
    lastKey = ''
  }

  /** Start from a scene that came from a link or a saved draft; nothing to undo. */
  function open(s: Scene): void {
    scene.value = s
    past.value = []
    future.value = []
  }

  const depthM = computed(() => scene.value.depthM ?? lureType(scene.value.lure).depthM)
  return { scene, depthM, set, setLure, undo, redo, open, canUndo: computed(() => past.value.length > 0), canRedo: computed(() => future.value.length > 0) }
})
