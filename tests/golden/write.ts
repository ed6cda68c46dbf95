import '../lightTable'
import { appendFileSync, existsSync, mkdirSync, writeFileSync } from 'node:fs'
import { PINNED, folder, pinnedText } from './pinned'

/**
 * `npm run golden -- "why"`: writes the pinned answers anew. They change on purpose only, so the reason is kept
 * beside them, with how many lines of each changed.
 */
const why = process.argv[2]?.trim()
if (!why) {
  console.error('Say why the answers change:  npm run golden -- "the disc law follows the field"')
  process.exit(2)
}

/** With one entry of its lists and records a line, so that a difference shows where it is. */
function written(pinned: object): string {
  const lines = (entries: string[], open: string, close: string) => `${open}\n${entries.join(',\n')}\n ${close}`
  const field = (value: unknown) => {
    if (Array.isArray(value))
      return lines(
        value.map(v => `  ${JSON.stringify(v)}`),
        '[',
        ']',
      )
    if (typeof value !== 'object' || value === null) return JSON.stringify(value)
    return lines(
      Object.entries(value).map(([k, v]) => `  ${JSON.stringify(k)}: ${JSON.stringify(v)}`),
      '{',
      '}',
    )
  }
  return `{\n${Object.entries(pinned)
    .map(([k, v]) => ` ${JSON.stringify(k)}: ${field(v)}`)
    .join(',\n')}\n}\n`
}

mkdirSync(folder, { recursive: true })
const changed: string[] = []
for (const [name, work] of Object.entries(PINNED)) {
  const file = new URL(`${name}.json`, folder)
  const before = existsSync(file) ? pinnedText(name).split('\n') : []
  const text = written(work() as object)
  const after = text.split('\n')
  const moved = after.filter((line, i) => line !== before[i]).length
  if (moved === 0 && before.length === after.length) continue
  writeFileSync(file, text)
  changed.push(`${name} (${moved} of ${after.length} lines)`)
}
if (changed.length === 0) console.log('Nothing changed.')
else {
  appendFileSync(new URL('./REASONS.md', import.meta.url), `- ${why}: ${changed.join(', ')}\n`)
  console.log(changed.join('\n'))
}
