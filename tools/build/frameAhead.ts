import { mkdir, writeFile } from 'node:fs/promises'
import { dirname, join } from 'node:path'
import { fileURLToPath, pathToFileURL } from 'node:url'
import { serverBundle } from './serverBundle'

const FOLDER = fileURLToPath(new URL('../../node_modules/.cache/frame-ahead', import.meta.url))
/** Where the frame lies as HTML, for every page to begin with. */
export const FRAME_AHEAD = join(FOLDER, 'frame.html')

/** Draw the frame that stands while the scripts are on their way (app/shell/FrameAhead.vue). */
export async function buildFrameAhead(root: string): Promise<void> {
  const file = await serverBundle(root, 'app/shell/frameAhead.ts', FOLDER, 'frame.mjs')
  const { frameAhead } = (await import(pathToFileURL(file).href)) as { frameAhead: () => Promise<string> }
  await mkdir(dirname(FRAME_AHEAD), { recursive: true })
  await writeFile(FRAME_AHEAD, await frameAhead())
}
