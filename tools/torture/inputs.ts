import fc from 'fast-check'

const GOOD = {
  lure: 'jerkbait',
  water: { visibilityM: 2, tint: 'green', temperatureC: 14 },
  light: { sky: 'partly', sunElevationDeg: 40 },
}
/** A word that no answer may hold. */
export const MARK = 'zqxjkv'

const junk = fc.oneof(
  fc.anything({ maxDepth: 2 }),
  fc.constantFrom<unknown>(MARK, `'; drop table ${MARK}; --`, `<script>${MARK}</script>`, -1e308, 1e308, '\u0000', '𝕏'),
  fc.constantFrom<unknown>('2026-13-45T99:99:99Z', '+010000-01-01T00:00:00Z', '-000001-01-01T00:00:00Z', '2026-05-10'),
)
const path = fc.constantFrom(
  ...[
    'lure',
    'water',
    'water.visibilityM',
    'water.tint',
    'water.prey',
    'light',
    'light.sky',
    'light.at',
    'light.at.time',
  ],
  ...['season', 'forage', 'clues', 'depthM', 'fishedThrough', 'limit', 'units', MARK, '__proto__', 'constructor'],
)

function put(into: object, at: string, value: unknown): object {
  const copy = structuredClone(into) as Record<string, unknown>
  const keys = at.split('.')
  const last = keys.pop()!
  let o = copy
  for (const k of keys) o = (o[k] = typeof o[k] === 'object' && o[k] ? o[k] : {}) as Record<string, unknown>
  Object.defineProperty(o, last, { value, enumerable: true, configurable: true, writable: true })
  return copy
}

const id = fc.constantFrom(
  ...[
    '018f0000-0000-7000-8000-00000000000a',
    '(x)',
    '[::1]',
    '{y}',
    'a:b',
    '%00',
    '..%2f..',
    `${MARK}`,
    'x'.repeat(300),
  ],
)
const CALL = { asked: GOOD, tiedOn: 'jerkbait.bone', keptAt: '2026-04-12T10:40:00.000Z' }
const text = (v: unknown) => JSON.stringify(v) ?? 'undefined'

export interface Input {
  method: string
  path: string
  body?: string
}

const wrong = fc.tuple(path, junk)
/** Requests that are wrong in some way, or right by accident. */
export const INPUT: fc.Arbitrary<Input> = fc.oneof(
  wrong.map(([p, v]) => ({ method: 'POST', path: '/recommendations', body: text(put(GOOD, p, v)) })),
  junk.map(v => ({ method: 'POST', path: '/recommendations', body: text(v) })),
  fc.string({ maxLength: 200 }).map(body => ({ method: 'POST', path: '/recommendations', body })),
  fc.tuple(id, wrong).map(([i, [p, v]]) => ({ method: 'PUT', path: `/calls/${i}`, body: text(put(CALL, p, v)) })),
  fc.tuple(id, fc.constantFrom('tiedOn', 'keptAt', 'waterId', 'asked', 'exactPlace', MARK), junk).map(([i, p, v]) => ({
    method: 'PUT',
    path: `/calls/${i}`,
    body: text(put(CALL, p, v)),
  })),
  id.map(i => ({ method: 'DELETE', path: `/calls/${i}` })),
  fc.tuple(fc.constantFrom('after', MARK), fc.string()).map(([k, v]) => ({
    method: 'GET',
    path: `/calls?${k}=${encodeURIComponent(v)}`,
  })),
  junk.map(v => ({ method: 'POST', path: '/recover', body: text({ code: v }) })),
  fc.tuple(fc.constantFrom('PATCH', 'PUT', 'DELETE', 'TRACE', 'OPTIONS', 'HEAD'), fc.webPath()).map(([method, p]) => ({
    method: method === 'TRACE' ? 'PATCH' : method,
    path: p,
  })),
)
