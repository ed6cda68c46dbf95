import { join } from 'node:path'
import { serverBundle } from './serverBundle'

/**
 * Bundle the pages that links show into a folder: the app's own figures, drawn by the server as text. What is shown
 * needs no script in the browser, and the server's bundle nothing of the app.
 */
export const buildSharedPages = (root: string, folder: string): Promise<string> =>
  serverBundle(root, 'app/share/pages.ts', join(folder, 'workers'), 'pages.mjs')
