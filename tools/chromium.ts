/**
 * What Chromium leaves out. The list of the address bar is a page of some four hundred scripts, loaded afresh for every
 * page that is opened. The rest is what Playwright leaves out itself: Chromium heeds one such list alone, the last.
 */
const LEFT_OUT = [
  ...['WebUIOmniboxPopup', 'WebUIOmniboxAimPopup', 'WebUIOmniboxFullPopup'],
  ...['AvoidUnnecessaryBeforeUnloadCheckSync', 'DestroyProfileOnBrowserClose', 'HttpsUpgrades', 'LensOverlay'],
  ...['HttpsFirstBalancedModeAutoEnable', 'MediaRouter', 'PaintHolding', 'ThirdPartyStoragePartitioning'],
  ...['AvoidCorsURLLoaderRestartOnRedirect', 'OptimizationHints', 'NetworkTimeServiceQuerying', 'AimEnabled'],
  'PreconnectToSearch',
]

/** How Debian's Chromium is started for tests and benchmarks: quiet, and without a network of its own. */
export const CHROMIUM_ARGS = [
  '--headless',
  '--no-sandbox',
  '--disable-gpu',
  '--disable-quic',
  '--no-first-run',
  '--disable-background-networking',
  '--disable-component-update',
  '--disable-sync',
  `--disable-features=${LEFT_OUT.join()}`,
]
