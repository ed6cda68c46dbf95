/** The places of the app that are built, as the bar and the tabs name them. */
export const PLACES = [
  { to: '/', words: 'Water' },
  { to: '/day', words: 'Day' },
  { to: '/box', words: 'Box' },
  { to: '/bench', words: 'Bench' },
  { to: '/log', words: 'Log' },
] as const

/** The title of a place: its own word first, as a list of tabs shows it. */
export function placeTitle(path: string): string {
  if (path.startsWith('/yours')) return 'Yours · Piscator'
  const place = [...PLACES].reverse().find(p => path === p.to || (p.to !== '/' && path.startsWith(p.to)))
  return place ? `${place.words} · Piscator` : 'Piscator'
}
