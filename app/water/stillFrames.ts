/** What follows a finger waits so many frames for one in which it has not moved. */
const FRAMES_WAITED = 1

/** Frames in which a finger rests: what it drags and what follows it share none if they can help it. */
export function stillFrames() {
  let movedAt = -Infinity
  return {
    /** The finger has moved. */
    moved: () => void (movedAt = performance.now()),
    /** The beginning of a frame in which it has not, or of the last that may be waited for. */
    next: () =>
      new Promise<void>(resolve => {
        const look = (more: number) =>
          requestAnimationFrame(began => {
            // A frame's events are handled after it began and before this.
            if (movedAt < began || more === 0) resolve()
            else look(more - 1)
          })
        look(FRAMES_WAITED)
      }),
  }
}
