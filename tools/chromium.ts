import { existsSync } from 'node:fs'

/** Debian's Chromium without its windows; the whole of it serves as well, at a third more work for every page. */
export const CHROMIUM = ['/usr/bin/chromium-headless-shell', '/usr/bin/chromium'].find(existsSync)

/** How it is started for tests and benchmarks: quiet, and without a network of its own. */
export const CHROMIUM_ARGS = [
  '--headless',
  '--no-sandbox',
  '--disable-gpu',
  '--disable-quic',
  '--no-first-run',
  '--disable-background-networking',
  '--disable-component-update',
  '--disable-sync',
]
