import { FOOT_IN, celsiusOf, metresOf } from '#core/units'

/** What is typed into a field: a length, a temperature, or a bare number with a sign of its own (°, %). */
export type TypedQuantity = 'length' | 'temperature' | 'number'

/** What was typed, as data: a number in the field's own unit, one in metric units with its unit said, or a fault. */
export type Typed = { bare: number } | { metric: number } | { fault: 'not-a-number' | 'ambiguous-comma' | 'other-unit' }

const FRACTIONS: Readonly<Record<string, number>> = {
  '¼': 0.25,
  '½': 0.5,
  '¾': 0.75,
  '⅓': 1 / 3,
  '⅔': 2 / 3,
  '⅛': 0.125,
}
const GLYPHS = Object.keys(FRACTIONS).join('')
/** "3", "3.5", "3,5", ".5", "½", "1½", "1 1/2", "3/4", with a sign before it. */
const NUMBER = `[-−+]?(?:\\d+\\s+\\d+/\\d+|\\d+/\\d+|\\d*[${GLYPHS}]|\\d+(?:[.,]\\d+)?|[.,]\\d+)`
const NUMBER_ALONE = new RegExp(`^(${NUMBER})\\s*(.*)$`)
/** "1,234": a thousand, or a little over one? */
const THOUSANDS = /^[-−+]?\d{1,3},\d{3}(?!\d)/

const LENGTHS: readonly [RegExp, (n: number) => number][] = [
  [/^(m|meters?|metres?)$/, n => n],
  [/^(cm|centimet(er|re)s?)$/, n => n / 100],
  [/^(mm|millimet(er|re)s?)$/, n => n / 1000],
  [/^(ft|foot|feet|'|′)$/, metresOf],
  [/^(in|inch|inches|"|″|'')$/, n => metresOf(n / FOOT_IN)],
]
const TEMPERATURES: readonly [RegExp, (n: number) => number][] = [
  [/^(°\s*)?c(elsius)?$/, n => n],
  [/^(°\s*)?f(ahrenheit)?$/, celsiusOf],
]
const FEET_AND_INCHES = new RegExp(`^(${NUMBER})\\s*(?:ft|foot|feet|'|′)\\s*(${NUMBER})\\s*(?:in|inch|inches|"|″|'')?$`)

function numberOf(text: string): number {
  const sign = /^[-−]/.test(text) ? -1 : 1
  const bare = text.replace(/^[-−+]/, '').replace(',', '.')
  const glyph = bare.at(-1)!
  if (glyph in FRACTIONS) return sign * (Number(bare.slice(0, -1)) + FRACTIONS[glyph]!)
  const [whole, over] = bare.includes(' ') ? bare.split(/\s+/) : ['0', bare]
  if (!over!.includes('/')) return sign * Number(bare)
  const [top, bottom] = over!.split('/').map(Number)
  return sign * (Number(whole) + top! / bottom!)
}

/**
 * Read what an angler types: "3 ft", "90 cm", "5'6\"", "½", "58°F", "14 C", or a number alone in the field's own unit.
 * A comma that may be a thousand's, a number that is none, and a unit of something else are faults, never guesses.
 */
export function readTyped(text: string, of: TypedQuantity): Typed {
  const typed = text.trim().toLowerCase().replace(/[’]/g, "'").replace(/[”]/g, '"')
  if (THOUSANDS.test(typed)) return { fault: 'ambiguous-comma' }
  if (of === 'length') {
    const both = FEET_AND_INCHES.exec(typed)
    if (both) return finite({ metric: metresOf(numberOf(both[1]!) + numberOf(both[2]!) / FOOT_IN) })
  }
  const found = NUMBER_ALONE.exec(typed)
  if (!found) return { fault: 'not-a-number' }
  const n = numberOf(found[1]!)
  const unit = found[2]!.trim()
  const own = { length: /^$/, temperature: /^°?$/, number: /^[°%]?$/ }[of]
  if (own.test(unit)) return finite({ bare: n })
  const units = { length: LENGTHS, temperature: TEMPERATURES, number: [] }[of]
  const known = units.find(([words]) => words.test(unit))
  if (known) return finite({ metric: known[1](n) })
  return { fault: [...LENGTHS, ...TEMPERATURES].some(([words]) => words.test(unit)) ? 'other-unit' : 'not-a-number' }
}

const finite = (typed: { bare: number } | { metric: number }): Typed =>
  Number.isFinite('bare' in typed ? typed.bare : typed.metric) ? typed : { fault: 'not-a-number' }

/** A range in round numbers of the unit shown, drawn in rather than out: "0.2 to 98", not "0.164 to 98.4". */
export function roundLimits(low: number, high: number, decimals: number): [number, number] {
  const round = (v: number, by: (n: number) => number) => {
    const places = Math.abs(v) >= 10 ? 0 : decimals
    const scale = 10 ** places
    return by(Number((v * scale).toFixed(6))) / scale
  }
  return [round(low, Math.ceil), round(high, Math.floor)]
}
