import { randomBytes } from 'node:crypto'

/** Give the page's own scripts a nonce, and let no other script run. Styles come from
 * files; only what is drawn bears its place and colour as attributes, which run nothing. */
export default defineNitroPlugin(nitro => {
  nitro.hooks.hook('render:response', response => {
    delete (response.headers as Record<string, string>)['x-powered-by']
  })
  nitro.hooks.hook('render:html', (html, { event }) => {
    const nonce = randomBytes(16).toString('base64')
    const mark = (part: string) => part.replace(/<script/g, `<script nonce="${nonce}"`)
    html.head = html.head.map(mark)
    html.bodyPrepend = html.bodyPrepend.map(mark)
    html.bodyAppend = html.bodyAppend.map(mark)
    setResponseHeader(
      event,
      'content-security-policy',
      [
        "default-src 'self'",
        `script-src 'self' 'nonce-${nonce}'`,
        // Styles that are seen as they are edited are written into the page.
        import.meta.dev ? "style-src 'self' 'unsafe-inline'" : "style-src 'self'",
        "style-src-attr 'unsafe-inline'",
        "img-src 'self' data:",
        "font-src 'self'",
        "connect-src 'self'",
        "worker-src 'self'",
        "object-src 'none'",
        "base-uri 'self'",
        "form-action 'self'",
        "frame-ancestors 'none'",
      ].join('; '),
    )
  })
})
