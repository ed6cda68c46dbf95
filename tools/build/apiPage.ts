import { copyFile, mkdir, writeFile } from 'node:fs/promises'
import { createRequire } from 'node:module'
import { dirname, join } from 'node:path'
import { fileURLToPath } from 'node:url'

/** Where the page is put together, and its address on the server. */
export const API_PAGE = fileURLToPath(new URL('../../node_modules/.cache/api-page', import.meta.url))
export const API_PAGE_AT = 'api-page'

const PAGE = `<!doctype html>
<html lang="en">
  <head>
    <meta charset="utf-8">
    <meta name="viewport" content="width=device-width, initial-scale=1">
    <title>Piscator's API</title>
    <link rel="stylesheet" href="swagger-ui.css">
    <link rel="icon" href="/icon.svg">
  </head>
  <body>
    <main id="api"></main>
    <script src="swagger-ui-bundle.js"></script>
    <script src="show.js"></script>
  </body>
</html>
`
const SHOW = `SwaggerUIBundle({ url: '/api/v1/openapi.json', dom_id: '#api', deepLinking: true, validatorUrl: null })
`

/** The API's description as a page a person can read: the standard package's files, and a page that shows ours. */
export async function buildApiPage(): Promise<void> {
  const from = dirname(createRequire(import.meta.url).resolve('swagger-ui-dist/package.json'))
  await mkdir(API_PAGE, { recursive: true })
  for (const file of ['swagger-ui.css', 'swagger-ui-bundle.js']) await copyFile(join(from, file), join(API_PAGE, file))
  await writeFile(join(API_PAGE, 'index.html'), PAGE)
  await writeFile(join(API_PAGE, 'show.js'), SHOW)
}
