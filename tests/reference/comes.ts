import { vi } from 'vitest'

/** Far longer than anything here takes alone, ms: a loaded machine is no fault of the code. */
const PATIENCE_MS = 60_000

/** Waits until a check passes. */
export const comes = <T>(check: () => T | Promise<T>): Promise<T> => vi.waitFor(check, { timeout: PATIENCE_MS })
