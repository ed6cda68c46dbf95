import { defineStore } from 'pinia'
import { computed, reactive, ref } from 'vue'
import { LURES, lureType } from '#core/finish/lures'
import { LIMITS } from '#shared/vocabulary'
import { type Scene, firstScene } from '../utils/scene'

/** Most undo steps kept. */
const STEPS = 100
/** Changes of the same control within this time are one step, ms. */
const ONE_STEP_MS = 900

/** Readings that a drag or a typed value could push past what the server takes. */
const NUMBERS = [['visibilityM', LIMITS.visibilityM], ['fishM', LIMITS.fishM], ['cloud', LIMITS.share], ['depthM', LIMITS.depthM], ['temperatureC', LIMITS.temperatureC]] as const

const clamp = (v: number, [lo, hi]: readonly [number, number]) => Math.min(hi, Math.max(lo, v))

/** The scene on the screen, every change of which can be undone. */
export const useSceneStore = defineStore('scene', () => {
  // One object changed in place: what reads the wind is not drawn anew when the disc moves.
  const scene = reactive<Scene>(firstScene())
  const copy = (): Scene => ({ ...scene })
  const past = ref<Scene[]>([])
  const future = ref<Scene[]>([])
  /** Counts the changes, for those who follow all of them. */
  const changes = ref(0)
  function change(to: Partial<Scene>): void {
    Object.assign(scene, to)
    changes.value++
  }
  let lastKey = ''
  let lastAt = -Infinity

  /** Change some fields. Numbers are held within the contract's limits; a drag counts as one step. */
  function set(patch: Partial<Scene>, at = performance.now()): void {
    const next = { ...patch }
    for (const [key, limits] of NUMBERS) if (typeof next[key] === 'number') next[key] = clamp(next[key], limits)
    if ((Object.keys(next) as (keyof Scene)[]).every(k => next[k] === scene[k])) return
    const key = Object.keys(patch).sort().join()
    if (key !== lastKey || at - lastAt > ONE_STEP_MS) past.value = [...past.value.slice(1 - STEPS), copy()]
    lastKey = key
    lastAt = at
    future.value = []
    change(next)
  }

  /** Another lure keeps the water and the light; depth and side go to what is usual for it. */
  function setLure(lure: Scene['lure']): void {
    const from = lureType(scene.lure)
    const to = LURES[lure]
    const side = to.surface ? 'below' : from.surface ? 'level' : scene.side
    set({ lure, depthM: null, side })
  }

  function undo(): void {
    const before = past.value.at(-1)
    if (!before) return
    future.value = [copy(), ...future.value]
    past.value = past.value.slice(0, -1)
    change(before)
    lastKey = ''
  }

  function redo(): void {
    const next = future.value[0]
    if (!next) return
    past.value = [...past.value, copy()]
    future.value = future.value.slice(1)
    change(next)
    lastKey = ''
  }

  /** Start from a scene that came from a link or a saved draft; nothing to undo. */
  function open(s: Scene): void {
    change(s)
    past.value = []
    future.value = []
  }

  const depthM = computed(() => scene.depthM ?? lureType(scene.lure).depthM)
  return { scene, changes, depthM, set, setLure, undo, redo, open, canUndo: computed(() => past.value.length > 0), canRedo: computed(() => future.value.length > 0) }
})
