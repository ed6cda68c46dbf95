import { readFileSync } from 'node:fs'
import { runInNewContext } from 'node:vm'
import { expect, it } from 'vitest'
import { createEngine } from './index'

const engine = createEngine(readFileSync(new URL('./data/light.table', import.meta.url)))
const readme = readFileSync(new URL('./README.md', import.meta.url), 'utf8')
const examples = [...readme.matchAll(/```ts\n(engine\.(\w+)[^`]+)```/g)].map(
  ([, code, entry]) => [entry!, code!] as const,
)

it('has an example of each of its entries in the page that describes it', () => {
  expect(examples.map(([entry]) => entry).sort()).toEqual(Object.keys(engine).sort())
})
it.each(examples)('%s answers its example', (entry, code) => {
  const answer = runInNewContext(code, { engine }) as object
  expect(Object.keys(answer).length).toBeGreaterThan(0)
  expect(JSON.parse(JSON.stringify(answer))).toEqual(JSON.parse(JSON.stringify(runInNewContext(code, { engine }))))
})
