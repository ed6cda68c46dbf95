import { readFileSync } from 'node:fs'
import { useLightTable } from '#core/light-field/table'
useLightTable(readFileSync('core/data/light.table'))
const { askedIn, seasonOf } = await import('#core/season-learning/season')
const { standsIn } = await import('#core/season-learning/stands')
const d = JSON.parse(readFileSync('../shared/season/demo-season.json', 'utf8'))
let t = performance.now()
const asked = askedIn(d.request.trips)
const stands = asked.map(a => ({ asked: a, stands: standsIn(a) }))
console.log('rankings', asked.length, (performance.now() - t).toFixed(0))
for (let i = 0; i < 3; i++) {
  t = performance.now()
  seasonOf(d.request, stands)
  console.log('fit', (performance.now() - t).toFixed(1))
}
const a = seasonOf(d.request, stands)
console.log(JSON.stringify(a.used), JSON.stringify(a.weights), JSON.stringify(a.perHour), a.hotDays)
for (const e of a.effects)
  console.log(
    e.level,
    e.id,
    e.within,
    'ln',
    Math.log(e.times).toFixed(3),
    e.low,
    e.high,
    e.chanceBetter,
    'prior',
    e.priorTimes,
    'plain',
    e.plainTimes,
    e.hours,
    e.bites,
    e.comparedBites,
    e.moreBites,
  )
console.log(a.says.map(s => s.text))
