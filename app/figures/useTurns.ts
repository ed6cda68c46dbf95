import { type InjectionKey, type Ref, inject, nextTick, onScopeDispose, provide, ref } from 'vue'

/** Time for figures in one frame while there is a hurry, ms. */
const FIGURES_MS = 4

type Turn = Readonly<Ref<boolean>>
/** What waits: its turn, and whether its figure costs little. */
interface Waiting {
  come: Ref<boolean>
  cheap: () => boolean
}
type Take = (cheap: () => boolean) => Turn
const KEY: InjectionKey<Take> = Symbol('turns')

/**
 * Turns that figures take while there is a hurry: a few in each frame, those that came last first, and none that
 * costs much before it is over, so that a list runs as smoothly as it is scrolled. What is gone before its turn is
 * never drawn.
 */
export function turns(hurry: Readonly<Ref<boolean>>): Take {
  const waiting = new Set<Waiting>()
  let running = false
  const nextOne = () => [...waiting].reverse().find(w => !hurry.value || w.cheap())
  async function run(): Promise<void> {
    running = true
    while (waiting.size) {
      await new Promise(requestAnimationFrame)
      const began = performance.now()
      for (let w = nextOne(); w; w = performance.now() - began < FIGURES_MS ? nextOne() : undefined) {
        waiting.delete(w)
        w.come.value = true
        await nextTick()
      }
    }
    running = false
  }
  return cheap => {
    const come = ref(!hurry.value)
    if (!come.value) {
      const w = { come, cheap }
      waiting.add(w)
      onScopeDispose(() => waiting.delete(w))
      if (!running) void run()
    }
    return come
  }
}

/** Figures within take turns while there is a hurry. */
export const provideTurns = (hurry: Readonly<Ref<boolean>>): void => provide(KEY, turns(hurry))

/** Whether the turn of a component's figure has come; at once where no turns are taken. */
export function useTurn(cheap: () => boolean): Turn {
  const take = inject(KEY, null)
  return take ? take(cheap) : ref(true)
}
