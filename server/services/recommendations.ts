import type { Request } from '#core/conditions/request'
import { ENGINE_VERSION, recommend } from '#core/ranking/recommend'

/** Most answers remembered; each is about 15 kB of text. */
const MOST = 400
const answers = new Map<string, string>()

/** The same scene in the same words, whatever order its fields came in. */
function keyOf(value: unknown): string {
  if (Array.isArray(value)) return `[${value.map(keyOf).join()}]`
  if (value && typeof value === 'object') {
    return `{${Object.entries(value).filter(([, v]) => v !== undefined).sort(([a], [b]) => a < b ? -1 : 1).map(([k, v]) => `${k}:${keyOf(v)}`).join()}}`
  }
  return JSON.stringify(value)
}

/** The answer to a request as JSON text; a repeated scene is answered from a bounded memory (least lately used goes first). */
export function answerText(request: Request): string {
  const key = `${ENGINE_VERSION}|${keyOf(request)}`
  let text = answers.get(key)
  if (text) answers.delete(key)
  else {
    text = JSON.stringify(recommend(request))
    if (answers.size >= MOST) answers.delete(answers.keys().next().value!)
  }
  answers.set(key, text)
  return text
}
