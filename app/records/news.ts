/**
 * Hears that other devices have written something: one tab of a device listens for all, since a browser has few lines
 * to one server. Where nothing is to be heard the caller's own asking now and then stands.
 */
export interface News {
  /** Whether news are heard as they come. */
  isHeard: () => boolean
  /** Listen, from the first thing on that the server keeps of this device. */
  begin: () => void
}

const STREAM = '/api/v1/news'

export function listenForNews(heard: () => void): News {
  let source: EventSource | null = null
  let asked = false
  function open(done: () => void): void {
    const mine = new EventSource(STREAM)
    source = mine
    mine.addEventListener('news', heard)
    mine.onerror = () => {
      // Refused, or nothing is kept yet: the browser does not try that again.
      if (mine.readyState !== EventSource.CLOSED) return
      source = null
      done()
    }
  }
  /** Held while this tab listens; another takes over when it goes. */
  const hold = () => new Promise<void>(done => open(done))
  return {
    isHeard: () => source?.readyState === 1,
    begin() {
      if (asked || source || typeof EventSource === 'undefined' || typeof navigator === 'undefined') return
      asked = true
      void navigator.locks
        ?.request('piscator.news', hold)
        .catch(() => {})
        .finally(() => (asked = false))
    },
  }
}
