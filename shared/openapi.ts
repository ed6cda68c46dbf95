import { LIMITS, VOCABULARY } from '#shared/vocabulary'

const range = (name: keyof typeof LIMITS) => ({ type: 'number', minimum: LIMITS[name][0], maximum: LIMITS[name][1] })
const word = (list: readonly string[], description?: string) => ({ type: 'string', enum: [...list], ...(description ? { description } : {}) })
const listOf = (items: object, maxItems: number) => ({ type: 'array', uniqueItems: true, maxItems, items })
const ranges = { type: 'object', properties: { level: { type: 'number' }, below: { type: 'number' }, above: { type: 'number' } }, required: ['level', 'below', 'above'] }
const ref = (name: string) => ({ $ref: `#/components/schemas/${name}` })
const json = (schema: object) => ({ 'application/json': { schema } })
const faults = { description: 'One entry per fault.', content: json(ref('Faults')) }
const callId = { name: 'id', in: 'path', required: true, schema: { type: 'string', format: 'uuid' }, description: 'Made by the client, so that keeping twice keeps once.' }

const request = {
  type: 'object', additionalProperties: false, required: ['lure', 'water', 'light'],
  properties: {
    lure: word(VOCABULARY.lure),
    species: word(VOCABULARY.species, 'largemouth-bass when absent'),
    school: word(VOCABULARY.school, 'balanced when absent'),
    water: {
      type: 'object', additionalProperties: false, required: ['visibilityM', 'tint'],
      properties: {
        visibilityM: { ...range('visibilityM'), description: 'depth at which a white 20 cm disc vanishes, metres' },
        tint: word(VOCABULARY.tint),
        temperatureC: { ...range('temperatureC'), description: 'surface, °C' },
        trend: word(VOCABULARY.trend, 'temperature over the last days'),
        salinity: word(VOCABULARY.salinity), pressure: word(VOCABULARY.pressure),
        prey: { ...listOf(word(VOCABULARY.forage), VOCABULARY.forage.length), description: 'prey known to live in this water' },
      },
    },
    light: {
      type: 'object', additionalProperties: false, required: ['sky'], anyOf: [{ required: ['sunElevationDeg'] }, { required: ['at'] }],
      properties: {
        sky: word(VOCABULARY.sky),
        cloud: { ...range('share'), description: 'cover, 0-1, where known better than the word' },
        sunElevationDeg: { ...range('sunElevationDeg'), description: 'degrees above the horizon' },
        at: {
          type: 'object', additionalProperties: false, required: ['time', 'latitude', 'longitude'],
          properties: { time: { type: 'string', format: 'date-time' }, latitude: range('latitude'), longitude: range('longitude') },
        },
        wind: word(VOCABULARY.wind), canopy: word(VOCABULARY.canopy),
        moon: { ...range('share'), description: 'lit share, night only' }, lamps: { type: 'boolean' },
      },
    },
    season: word(VOCABULARY.season, 'inferred when absent'),
    forage: {
      ...listOf({ type: 'object', additionalProperties: false, required: ['kind', 'share'], properties: { kind: word(VOCABULARY.forage), share: range('share') } }, VOCABULARY.forage.length),
      description: 'inferred when empty or absent',
    },
    clues: listOf(word(VOCABULARY.clue), VOCABULARY.clue.length),
    depthM: { ...range('depthM'), description: 'running depth, metres; by lure when absent' },
    background: word(VOCABULARY.background),
    fishM: { ...range('fishM'), description: 'how far off the fish is, metres' },
    fishedThrough: listOf(word(VOCABULARY.family), VOCABULARY.family.length),
    bitesRefused: { type: 'boolean' },
    limit: { ...range('limit'), type: 'integer' },
    units: word(VOCABULARY.units, 'units of the sentences in the answer; every number stays metric'),
  },
}

const finish = {
  type: 'object', required: ['id', 'name', 'families', 'traits', 'parts'],
  properties: {
    id: { type: 'string' }, name: { type: 'string' },
    families: { type: 'array', minItems: 1, maxItems: 3, items: word(VOCABULARY.family) },
    traits: {
      type: 'object',
      properties: {
        opacity: word(['translucent', 'opaque']), flash: word(['none', 'low', 'high']), tone: word(['light', 'mid', 'dark']), vivid: { type: 'boolean' }, matte: { type: 'boolean' },
      },
    },
    parts: { type: 'object', additionalProperties: { type: 'object', properties: { paint: { type: 'string' }, material: { type: 'string' }, words: { type: 'string' } } } },
  },
}

const answer = {
  type: 'object', required: ['version', 'ranked', 'rotation', 'lookAlikes', 'disagreements', 'colourMatters', 'assumed', 'advisories', 'dressUps'],
  properties: {
    version: { const: '1' },
    ranked: {
      type: 'array', items: {
        type: 'object', required: ['rank', 'finish', 'score', 'sightingRangeM', 'reasons'],
        properties: {
          rank: { type: 'integer', minimum: 1 }, finish: ref('Finish'), score: { type: 'number', minimum: 0, maximum: 1 }, sightingRangeM: ranges, colourRangeM: ranges,
          flash: { type: 'number' }, naturalness: { type: 'number' }, stances: { type: 'object', additionalProperties: { type: 'number' } },
          reasons: { type: 'array', items: { type: 'object', required: ['school', 'effect', 'text'], properties: { school: word(VOCABULARY.school), effect: { type: 'number' }, text: { type: 'string' } } } },
        },
      },
    },
    rotation: { type: 'array', minItems: 3, maxItems: 3, items: { type: 'object', properties: { role: word(['first', 'switch', 'odd']), finishId: { type: 'string' }, finish: ref('Finish'), why: { type: 'string' }, when: { type: 'string' } } } },
    lookAlikes: { type: 'array', items: { type: 'array', items: { type: 'string' } } },
    disagreements: { type: 'array', items: { type: 'object', properties: { between: { type: 'array', items: word(VOCABULARY.school) }, picks: { type: 'array', items: { type: 'string' } }, text: { type: 'string' }, optics: { type: 'string' } } } },
    colourMatters: { type: 'object', properties: { level: word(['little', 'some', 'much']), text: { type: 'string' } } },
    assumed: { type: 'array', items: { type: 'object', properties: { path: { type: 'string' }, value: {}, because: { type: 'string' } } } },
    advisories: { type: 'array', items: { type: 'object', properties: { kind: word(['lure-window', 'safety', 'sound', 'size', 'line', 'retrieve']), text: { type: 'string' } } } },
    dressUps: { type: 'array', items: { type: 'object', properties: { finishId: { type: 'string' }, text: { type: 'string' }, gain: { type: 'number' } } } },
  },
}

/** OpenAPI 3.1 description of the stable surface. */
export function openApi(version: string) {
  return {
    openapi: '3.1.0',
    info: { title: 'Piscator', version, description: 'Ranked lure colours and finishes from the water, the light and the fish.', license: { name: 'MIT', identifier: 'MIT' } },
    servers: [{ url: '/api/v1' }],
    paths: {
      '/recommendations': { post: { summary: 'Rank finishes for a lure in these conditions. Needs no account and stores nothing.', requestBody: { required: true, content: json(ref('Request')) }, responses: { 200: { description: 'The ranking.', content: json(ref('Answer')) }, 422: faults } } },
      '/health': { get: { summary: 'Whether the server and its database serve.', responses: { 200: { description: 'Both serve.' }, 503: { description: 'The database does not answer.' } } } },
      '/waters': { get: { summary: 'Waters of the angler and of the demonstration basin.', responses: { 200: { description: 'A list of waters.' } } } },
      '/calls': { get: { summary: 'Calls this angler has kept, newest first.', responses: { 200: { description: 'A list of calls.' } } } },
      '/calls/{id}': {
        parameters: [callId],
        put: { summary: 'Keep a call: what was asked, the ranking given, what was tied on.', requestBody: { required: true, content: json(ref('Call')) }, responses: { 200: { description: 'Kept.' }, 409: { description: 'The id is taken.' }, 422: faults } },
        delete: { summary: 'Take a kept call back.', responses: { 204: { description: 'Gone.' } } },
      },
      '/openapi.json': { get: { summary: 'This description.', responses: { 200: { description: 'OpenAPI 3.1.' } } } },
    },
    components: {
      schemas: {
        Request: request, Answer: answer, Finish: finish,
        Call: { type: 'object', additionalProperties: false, required: ['asked', 'tiedOn', 'keptAt'], properties: { asked: ref('Request'), tiedOn: { type: 'string', maxLength: 80 }, keptAt: { type: 'string', format: 'date-time' }, waterId: { type: ['string', 'null'], format: 'uuid' } } },
        Faults: { type: 'object', required: ['errors'], properties: { errors: { type: 'array', items: { type: 'object', required: ['path', 'message'], properties: { path: { type: 'string' }, code: { type: 'string' }, message: { type: 'string' } } } } } },
      },
    },
  }
}
