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

/** The sentence to remember of each topic. */
export const LESSONS: Record<DrillTopic, string> = {
  'first.tea': 'Tea swallows light sideways: black and blue have nothing to be dark against, white and orange last.',
  'first.brown': 'Silt is pale itself: white melts into it, black lasts.',
  'first.green': 'In algae what is green goes first; very pale and very dark last.',
  'first.blue-clear': 'In clear water see-through finishes go first, solid ones last.',
  'same.near': 'Close by it is lightness first, then red against green; blue hardly counts for a bass.',
  'same.far': 'With distance colours run together: what is left is light and dark.',
  'water.jar': 'Tea is clear and brown, silt cloudy and pale, algae green with a film.',
  'water.disc': 'White far beyond black is tea; black nearly as far as white is silt.',
  'tie-on.clear': 'Clear water and a long look: natural, see-through, little flash.',
  'tie-on.dirty': 'Dirty water: solid and bold, light or dark by what stains it.',
  'phase': 'The same temperature means spring on the way up and autumn on the way down.',
  'food': 'What was seen today beats the calendar.',
}
