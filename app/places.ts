/** The places of the app that are built, as the bar and the tabs name them. */
export const PLACES = [
  { to: '/', words: 'Water' },
  { to: '/day', words: 'Day' },
  { to: '/box', words: 'Box' },
  { to: '/bench', words: 'Bench' },
  { to: '/log', words: 'Log' },
] as const
