import { TooBusyError } from './lane'

/** Long work of one device: one is done, and so many more wait for it; and of all devices together. */
const WAITING = 2
const ALL_TOGETHER = 24

const ofDevice = new Map<string, { count: number; last: Promise<unknown> }>()
let all = 0

/** Whether long work of this device would be refused now. */
export const admissionFull = (device: string): boolean =>
  all >= ALL_TOGETHER || (ofDevice.get(device)?.count ?? 0) > WAITING

/**
 * Let long work in: one of a device at a time, the next when it is done. Throws a `TooBusyError` where the device has
 * as much under way as it may, or all together have.
 */
export async function admitted<T>(device: string, work: () => Promise<T>): Promise<T> {
  if (admissionFull(device)) throw new TooBusyError(3)
  const mine = ofDevice.get(device) ?? { count: 0, last: Promise.resolve() }
  ofDevice.set(device, mine)
  mine.count++
  all++
  const before = mine.last
  const done = before.then(work)
  // What comes after waits for this one, however it ends.
  mine.last = done.catch(() => {})
  try {
    return await done
  } finally {
    all--
    if (--mine.count === 0) ofDevice.delete(device)
  }
}
