import '../lightTable'
import { appendFileSync, existsSync, mkdirSync, writeFileSync } from 'node:fs'
import { execFileSync } from 'node:child_process'
import { ENGINE_VERSION } from '#core/ranking/version'
import { PINNED, folder, pinnedText } from './pinned'
import { summaryOf, summaryWords } from './summary'

/**
 * `npm run golden -- "why"`: writes the pinned answers anew. They change on purpose only, so the reason is kept
 * beside them, with what changed in short: a ranking that moved asks for another version of the engine.
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

/** The engine's version that was pinned last and committed. */
function versionBefore(): string | null {
  try {
    const pin = execFileSync('git', ['show', 'HEAD:tests/golden/pinned/engine.json'], { encoding: 'utf8' })
    return (JSON.parse(pin) as { version: string }).version
  } catch {
    return null
  }
}

mkdirSync(folder, { recursive: true })
const changed: string[] = []
const [was, is]: Record<string, unknown>[] = [{}, {}]
for (const [name, work] of Object.entries(PINNED)) {
  const file = new URL(`${name}.json`, folder)
  const before = existsSync(file) ? pinnedText(name).split('\n') : []
  const text = written(work() as object)
  const after = text.split('\n')
  is![name] = JSON.parse(text)
  if (before.length) was![name] = JSON.parse(before.join('\n'))
  const moved = after.filter((line, i) => line !== before[i]).length
  if (moved === 0 && before.length === after.length) continue
  writeFileSync(file, text)
  changed.push(`${name} (${moved} of ${after.length} lines)`)
}
if (changed.length === 0) console.log('Nothing changed.')
else {
  const summary = summaryOf(was!, is!)
  const lines = summaryWords(summary)
  const said = lines.map(line => `  - ${line}\n`).join('')
  appendFileSync(new URL('./REASONS.md', import.meta.url), `- ${why}: ${changed.join(', ')}\n${said}`)
  console.log([...changed, ...lines].join('\n'))
  if (summary.rankingMoved && versionBefore() === ENGINE_VERSION) {
    console.error('A ranking moved: raise ENGINE_VERSION (core/ranking/version.ts) and write them once more.')
    process.exitCode = 1
  }
}
