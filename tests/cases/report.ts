import '../lightTable'
import { readFileSync } from 'node:fs'
import { recommend } from '#core/ranking/recommend'
import { type Case, misses } from './meets'

/** `npm run cases [file]`: how many of the practised picks the engine meets, and what it gives where it does not. */
const file = process.argv[2] ?? new URL('./open.json', import.meta.url)
const cases = JSON.parse(readFileSync(file, 'utf8')) as Case[]
let met = 0
for (const c of cases) {
  const answer = recommend({ ...c.request, school: c.school })
  const faults = misses(c, answer)
  if (!faults.length) met++
  else {
    console.log(`${c.id} (${c.school}): ${faults.join('; ')}`)
    for (const r of answer.ranked.slice(0, 3))
      console.log(`    ${r.score.toFixed(2)}  ${r.finish.name}  [${r.finish.families.join(' ')}]`)
  }
}
console.log(`${met} of ${cases.length} cases met (${((100 * met) / cases.length).toFixed(1)} %)`)
