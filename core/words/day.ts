import type { None } from '#core/words/wording'

/** What only a day has to say; whatever a moment says too stands with the advisories. */
export const DAY_WORDS = {
  'day.lightning': (_: None) =>
    'Lightning: off the water before it comes, and not back until half an hour after the last thunder.',
} as const
