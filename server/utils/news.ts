import type { H3Event } from 'h3'
import { type NewsLine, openNewsLine } from '#server/records/wake'

let line: NewsLine | null = null

/** The process's one line on which it hears of news, opened when somebody first listens. */
export const newsLine = (event: H3Event): NewsLine => (line ??= openNewsLine(useRuntimeConfig(event).databaseUrl))

export async function closeNews(): Promise<void> {
  await line?.close()
  line = null
}
