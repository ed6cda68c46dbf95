import ahead from '#places-ahead'

const LAST = 'fetchpriority="low"'

/**
 * A page asks for what its place begins with while the frame is drawn: what would else be found script by script,
 * its letters, or words would move under a finger as they come, and last the engine.
 */
export default defineNitroPlugin(nitro => {
  const at = (file: string) => `crossorigin href="/_nuxt/${file}"`
  const links = Object.fromEntries(
    Object.entries(ahead).map(([place, { scripts, styles, later }]) => [
      place,
      [
        ...styles.map(file => `<link rel="preload" as="style" ${at(file)}>`),
        ...scripts.map(file => `<link rel="modulepreload" as="script" ${at(file)}>`),
        ...later.map(({ as, file }) => `<link rel="preload" as="${as}" ${as === 'fetch' ? LAST : ''} ${at(file)}>`),
      ].join(''),
    ]),
  )
  nitro.hooks.hook('render:html', (html, { event }) => {
    const place = event.path.split('?')[0]!
    html.head.push(links[place] ?? '')
  })
})
