import { hasLightTable, useLightTable } from '#core/light-field/table'
import url from '#core/data/light.table?url'

let coming: Promise<void> | null = null

/** The light table, fetched once wherever the engine runs; where that failed, whoever asks next tries again. */
export function withLightTable(): Promise<void> {
  if (hasLightTable()) return Promise.resolve()
  coming ??= fetchTable().finally(() => {
    coming = null
  })
  return coming
}

async function fetchTable(): Promise<void> {
  const response = await fetch(url)
  if (!response.ok) throw new Error(`the light table: ${response.status}`)
  useLightTable(new Uint8Array(await response.arrayBuffer()))
}
