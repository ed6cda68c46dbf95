/** Kinds of question, and what each may be about: the record of what is got wrong is kept by these. */
export const DRILL_TOPICS = {
  'first.tea': 'which goes first in tea',
  'first.brown': 'which goes first in silt',
  'first.green': 'which goes first in algae',
  'first.blue-clear': 'which goes first in clear water',
  'same.near': 'which are the same close by',
  'same.far': 'which are the same at range',
  'water.jar': 'a water by its jar',
  'water.disc': 'a water by white and black',
  'tie-on.clear': 'what to tie on in clear water',
  'tie-on.dirty': 'what to tie on in dirty water',
  'phase': 'the phase of the year',
  'food': 'what they are eating',
} as const
export type DrillTopic = keyof typeof DRILL_TOPICS
export const TOPICS = Object.keys(DRILL_TOPICS) as DrillTopic[]
