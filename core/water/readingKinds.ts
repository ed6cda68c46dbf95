/** Kinds of reading that tell which water it is. */
export const READING_KINDS = ['disc', 'target', 'seen-to', 'turbidity', 'light', 'jar', 'look'] as const
export type ReadingKind = (typeof READING_KINDS)[number]
