import type Joi from 'joi'
import parse from 'joi-to-json'
import { answerSchema, readingsAnswerSchema } from '#shared/schema/answer'
import {
  accountAnswerSchema,
  deviceNameSchema,
  nameSchema,
  passkeySchema,
  passkeySignInSchema,
  passwordSchema,
  passwordSignInSchema,
  restoreSchema,
} from '#shared/schema/account'
import { callSchema, idSchema, recoverSchema } from '#shared/schema/call'
import { crewAnswerSchema, joinSchema, showSchema } from '#shared/schema/crew'
import { dayAnswerSchema, daySchema } from '#shared/schema/day'
import { everythingSchema, importedSchema } from '#shared/schema/everything'
import { kitAnswerSchema, kitSchema } from '#shared/schema/kit'
import { jobListSchema, jobStatusSchema } from '#shared/schema/job'
import { syncAnswerSchema, syncRequestSchema } from '#shared/schema/sync'
import { shareOutSchema, shareSchema } from '#shared/schema/share'
import { luresAnswerSchema, luresSchema } from '#shared/schema/lures'
import { orderAnswerSchema, orderSchema, verdictAnswerSchema, verdictSchema } from '#shared/schema/trial'
import { poolAnswerSchema, poolSchema } from '#shared/schema/pool'
import { seasonAnswerSchema, seasonSchema } from '#shared/schema/season'
import { readingsSchema, requestByReadingsSchema, requestSchema } from '#shared/schema/request'

type JsonSchema = Record<string, unknown>

/** A Joi schema as JSON Schema; what Joi names with an id becomes a schema of its own in `parts`. */
function described(schema: Joi.Schema, parts: Record<string, JsonSchema>): JsonSchema {
  const text = JSON.stringify(parse(schema, 'json-draft-2019-09')).replaceAll('#/$defs/', '#/components/schemas/')
  const { $defs, ...own } = JSON.parse(text) as JsonSchema & { $defs?: Record<string, JsonSchema> }
  Object.assign(parts, $defs)
  return own
}

const ref = (name: string) => ({ $ref: `#/components/schemas/${name}` })
const json = (schema: object) => ({ 'application/json': { schema } })
const plain = (description: string) => ({ description })
const faulty = (description: string) => ({ description, content: json(ref('Faults')) })
const signedOut = faulty('This device was signed out.')
const uuidIn = (name: string) => ({
  name,
  in: 'path',
  required: true,
  schema: { type: 'string', format: 'uuid' },
})
const body = (name: string) => ({ required: true, content: json(ref(name)) })
const refused = { description: 'One entry per fault.', content: json(ref('Faults')) }
const busy = {
  content: json(ref('Faults')),
  headers: { 'Retry-After': { description: 'Seconds.', schema: { type: 'integer' } } },
  description: 'Too much at once, or the records are away; try again after Retry-After seconds.',
}

/** Long work may be asked for as a job (RFC 7240). */
const preferJob = {
  parameters: [
    {
      name: 'Prefer',
      in: 'header',
      description: 'respond-async: take it in as a job, and say where it stands.',
      schema: { type: 'string' },
    },
  ],
}
const asJob = {
  description: 'Taken in as a job, whose address is in Location.',
  headers: { Location: { schema: { type: 'string' } } },
  content: json(ref('Job')),
}
const jobId = { parameters: [uuidIn('id')] }
const noJob = faulty('This angler has no such job.')

const inPieces = 'Where it takes longer than a second, blanks are sent until the answer is there.'

const FAULTS = {
  type: 'object',
  required: ['errors'],
  properties: {
    errors: {
      type: 'array',
      items: {
        type: 'object',
        required: ['path', 'message'],
        properties: { path: { type: 'string' }, code: { type: 'string' }, message: { type: 'string' } },
      },
    },
  },
}

/** The id in a call's address: its schema is one of the components. */
const callId = ref('CallId')

/** Every address with its methods; what each is called and belongs to is added by `named`. */
const ADDRESSES = {
  '/recommendations': {
    post: {
      summary: 'Rank finishes for a lure in these conditions. Needs no account and stores nothing.',
      requestBody: { required: true, content: json({ oneOf: [ref('Request'), ref('RequestByReadings')] }) },
      responses: { 200: { description: 'The ranking.', content: json(ref('Answer')) }, 422: refused, 503: busy },
    },
  },
  '/readings': {
    post: {
      summary: 'Which water is it? Combines readings of any kinds. Needs no account and stores nothing.',
      requestBody: { required: true, content: json(ref('ReadingsRequest')) },
      responses: {
        200: { description: 'The water.', content: json(ref('ReadingsAnswer')) },
        422: refused,
        503: busy,
      },
    },
  },
  '/day-plans': {
    post: {
      summary: 'When to change through a day, and which few to carry. Needs no account and stores nothing.',
      requestBody: { required: true, content: json(ref('DayRequest')) },
      ...preferJob,
      responses: {
        200: { description: `The plan. ${inPieces}`, content: json(ref('DayPlan')) },
        202: asJob,
        422: refused,
        503: busy,
      },
    },
  },
  '/kits': {
    post: {
      summary: 'The fewest finishes that cover many scenes. Needs no account and stores nothing.',
      requestBody: { required: true, content: json(ref('KitRequest')) },
      ...preferJob,
      responses: {
        200: { description: `The kits of each size. ${inPieces}`, content: json(ref('Kit')) },
        202: asJob,
        422: refused,
        503: busy,
      },
    },
  },
  '/lures': {
    post: {
      summary: 'Which lure here: what comes through, is found and is taken, and why not the others. Stores nothing.',
      requestBody: { required: true, content: json(ref('LuresRequest')) },
      responses: { 200: { description: 'The lures.', content: json(ref('Lures')) }, 422: refused, 503: busy },
    },
  },
  '/season': {
    post: {
      summary: 'What a log says: what works here, and which school has earned weight. Stores nothing.',
      requestBody: { required: true, content: json(ref('SeasonRequest')) },
      ...preferJob,
      responses: {
        200: { description: `The season. ${inPieces}`, content: json(ref('Season')) },
        202: asJob,
        422: refused,
        503: busy,
      },
    },
  },
  '/pools': {
    post: {
      summary: 'What many logs say together, from the shares their anglers gave. Stores nothing.',
      requestBody: body('PoolRequest'),
      ...preferJob,
      responses: {
        200: { description: `The prior of each angler. ${inPieces}`, content: json(ref('Pool')) },
        202: asJob,
        422: refused,
        503: busy,
      },
    },
  },
  '/imports': {
    post: {
      summary: 'Takes a file of everything into the records, as a job: what is there already is not added again.',
      requestBody: body('Everything'),
      responses: { 202: asJob, 401: signedOut, 422: refused, 503: busy },
    },
  },
  '/jobs': {
    get: {
      summary: "This angler's jobs, the newest first.",
      responses: { 200: { description: 'The jobs.', content: json(ref('Jobs')) }, 503: busy },
    },
  },
  '/jobs/{id}': {
    get: {
      summary: 'How a job stands.',
      ...jobId,
      responses: { 200: { description: 'The job.', content: json(ref('Job')) }, 404: noJob, 422: refused, 503: busy },
    },
    delete: {
      summary: 'Stops a job, or forgets one that has ended.',
      ...jobId,
      responses: { 204: plain('It stands no more.'), 422: refused, 503: busy },
    },
  },
  '/jobs/{id}/answer': {
    get: {
      summary: 'The answer of a job that is done, as it would have been given at once; kept for a day.',
      ...jobId,
      responses: {
        200: {
          description: 'The answer.',
          content: json({ oneOf: ['DayPlan', 'Kit', 'Season', 'Pool', 'Imported'].map(ref) }),
        },
        404: noJob,
        409: faulty('It has no answer, or not yet.'),
        422: refused,
        503: busy,
      },
    },
  },
  '/jobs/{id}/progress': {
    get: {
      summary: 'How a job stands, as server-sent events, each the status as JSON, until it has ended.',
      ...jobId,
      responses: {
        200: { description: 'Events.', content: { 'text/event-stream': { schema: { type: 'string' } } } },
        404: noJob,
        422: refused,
        503: busy,
      },
    },
  },
  '/trials/order': {
    post: {
      summary: 'The order of a fair test of two: each block holds both once, drawn from the seed.',
      requestBody: { required: true, content: json(ref('OrderRequest')) },
      responses: { 200: { description: 'The spells.', content: json(ref('Order')) }, 422: refused, 503: busy },
    },
  },
  '/trials/verdict': {
    post: {
      summary: 'What a fair test of two shows so far; may be asked after every whole block.',
      requestBody: { required: true, content: json(ref('VerdictRequest')) },
      responses: { 200: { description: 'The verdict.', content: json(ref('Verdict')) }, 422: refused, 503: busy },
    },
  },
  '/instruments': {
    get: {
      summary: 'What the boat and the gauge tell, as server-sent events: each is the whole board as JSON.',
      responses: {
        200: {
          description: 'Events for as long as they are listened to, at most one a second.',
          content: { 'text/event-stream': { schema: { type: 'string' } } },
        },
        503: busy,
      },
    },
  },
  '/health': {
    get: {
      summary: 'Whether the server and its database serve.',
      responses: { 200: plain('Both serve.'), 503: plain('The database does not answer.') },
    },
  },
  '/health/ready': {
    get: {
      summary: 'Whether everything can be served: a connection, the schema this version knows, a write.',
      responses: { 200: plain('All of it.'), 503: plain('What is missing.') },
    },
  },
  '/device': {
    get: {
      summary: 'Makes this device known by its cookie, before it sends anything.',
      responses: { 204: plain('Known.'), 401: signedOut, 503: busy },
    },
  },
  '/sign-out': {
    post: { summary: "Ends this angler's sessions on every device.", responses: { 204: plain('Signed out.') } },
  },
  '/recovery-code': {
    post: {
      summary: "Makes a code that moves this device's records to another device; the one before is void.",
      responses: { 200: plain('The code, to be written down.'), 401: signedOut, 503: busy },
    },
  },
  '/recover': {
    post: {
      summary: "Makes this device the code's, its own records added.",
      requestBody: { required: true, content: json(ref('Recover')) },
      responses: { 204: plain('Moved.'), 422: refused, 503: busy },
    },
  },
  '/account': {
    get: {
      summary: 'The name, the ways of signing in, the devices signed in.',
      responses: { 200: { description: 'The account.', content: json(ref('Account')) }, 401: signedOut, 503: busy },
    },
    delete: {
      summary: 'Take everything away: erased in ten minutes, until then brought back by the word given.',
      responses: { 200: plain('The word and until when.'), 401: signedOut, 503: busy },
    },
  },
  '/account/restore': {
    post: {
      summary: 'Bring back what was taken away.',
      requestBody: body('Restore'),
      responses: { 204: plain('It is back, and this device signed in.'), 422: refused, 503: busy },
    },
  },
  '/account/name': {
    put: {
      summary: 'Change the name.',
      requestBody: body('Name'),
      responses: { 204: plain('Changed.'), 401: signedOut, 409: faulty('Somebody has it.'), 422: refused, 503: busy },
    },
  },
  '/account/password': {
    put: {
      summary: 'Set or change the password; where there was one, every other device is signed out.',
      requestBody: body('Password'),
      responses: { 204: plain('Set.'), 401: signedOut, 409: faulty('The name is taken.'), 422: refused, 503: busy },
    },
    delete: {
      summary: 'Take the password away.',
      responses: { 204: plain('Gone.'), 401: signedOut, 409: faulty('Nothing else is left.'), 503: busy },
    },
  },
  '/account/passkeys/options': {
    post: {
      summary: 'What the browser is to make a passkey by (WebAuthn 3, 5.4).',
      requestBody: body('Name'),
      responses: { 200: plain('The options.'), 401: signedOut, 409: faulty('The name is taken.'), 422: refused },
    },
  },
  '/account/passkeys': {
    post: {
      summary: 'Keep the passkey the browser made.',
      requestBody: body('Passkey'),
      responses: { 204: plain('Kept.'), 401: signedOut, 409: faulty('The name is taken.'), 422: refused, 503: busy },
    },
  },
  '/account/passkeys/{id}': {
    parameters: [{ name: 'id', in: 'path', required: true, schema: { type: 'string' } }],
    delete: {
      summary: 'Take a passkey away.',
      responses: { 204: plain('Gone.'), 401: signedOut, 409: faulty('Nothing else is left.'), 422: refused, 503: busy },
    },
  },
  '/account/sign-in/options': {
    post: {
      summary: 'What the browser is to ask its passkeys by (WebAuthn 3, 5.5).',
      responses: { 200: plain('The options.'), 422: refused, 503: busy },
    },
  },
  '/account/sign-in/passkey': {
    post: {
      summary: 'Sign in by the answer of a passkey; what the device kept under no account joins.',
      requestBody: body('PasskeySignIn'),
      responses: { 204: plain('Signed in.'), 422: refused, 503: busy },
    },
  },
  '/account/sign-in/password': {
    post: {
      summary: 'Sign in by a name and a password; what the device kept under no account joins.',
      requestBody: body('PasswordSignIn'),
      responses: { 204: plain('Signed in.'), 422: refused, 503: busy },
    },
  },
  '/account/devices/{id}': {
    parameters: [{ name: 'id', in: 'path', required: true, schema: { type: 'string', format: 'uuid' } }],
    put: {
      summary: 'Name a device.',
      requestBody: body('DeviceName'),
      responses: { 204: plain('Named.'), 401: signedOut, 404: faulty('No such device.'), 422: refused, 503: busy },
    },
    delete: {
      summary: 'Sign a device out, this one or another.',
      responses: { 204: plain('Signed out.'), 401: signedOut, 422: refused, 503: busy },
    },
  },
  '/crew': {
    get: {
      summary: 'The crew: who is of it, what each shows the other, invitations, who is aboard.',
      responses: { 200: { description: 'The crew.', content: json(ref('Crew')) }, 401: signedOut, 503: busy },
    },
  },
  '/crew/invites': {
    post: {
      summary: 'Ask somebody along: the word for a link that is good once, for a week.',
      responses: { 200: plain('The word.'), 401: signedOut, 409: faulty('Too many are open.'), 503: busy },
    },
  },
  '/crew/invites/{id}': {
    parameters: [uuidIn('id')],
    delete: { summary: 'Take an invitation back.', responses: { 204: plain('Gone.'), 401: signedOut, 422: refused } },
  },
  '/crew/invited': {
    post: {
      summary: 'Who asks along by an invitation.',
      requestBody: body('Invitation'),
      responses: { 200: plain('The name.'), 404: faulty('It is not good any more.'), 422: refused, 503: busy },
    },
  },
  '/crew/join': {
    post: {
      summary: 'Go along by an invitation: both show each other their days until either changes it.',
      requestBody: body('Invitation'),
      responses: { 204: plain('Of one crew.'), 401: signedOut, 404: faulty('It is not good any more.'), 422: refused },
    },
  },
  '/crew/{id}': {
    parameters: [uuidIn('id')],
    put: {
      summary: 'Show somebody so much and no more.',
      requestBody: body('Show'),
      responses: { 204: plain('Shown.'), 401: signedOut, 404: faulty('Not of the crew.'), 422: refused, 503: busy },
    },
    delete: {
      summary: 'Part with somebody: neither sees anything of the other any more.',
      responses: { 204: plain('Parted.'), 401: signedOut, 422: refused, 503: busy },
    },
  },
  '/crew/{id}/days': {
    parameters: [uuidIn('id')],
    get: {
      summary: "Somebody's days, as much of them as they show.",
      responses: { 200: plain('The days.'), 401: signedOut, 422: refused, 503: busy },
    },
  },
  '/crew/{id}/aboard/{trip}': {
    parameters: [uuidIn('id'), uuidIn('trip')],
    put: {
      summary: 'Take somebody aboard a trip with a device of their own: each adds to it.',
      responses: { 204: plain('Aboard.'), 401: signedOut, 404: faulty('No such person or trip.'), 422: refused },
    },
    delete: {
      summary: 'Put somebody ashore; what was tapped stays in both logs.',
      responses: { 204: plain('Ashore.'), 401: signedOut, 422: refused, 503: busy },
    },
  },
  '/shares': {
    get: {
      summary: 'Links that show one thing each, and are good.',
      responses: { 200: plain('The links, newest first.'), 401: signedOut, 503: busy },
    },
    post: {
      summary: 'Make a link that shows a call, a plan, the box or a verdict as it is now, at /s/ and its id.',
      requestBody: body('ShareInput'),
      responses: {
        200: { description: 'The link.', content: json(ref('Share')) },
        401: signedOut,
        409: faulty('Too many.'),
        422: refused,
        503: busy,
      },
    },
  },
  '/shares/{id}': {
    parameters: [{ name: 'id', in: 'path', required: true, schema: { type: 'string' } }],
    delete: { summary: 'Take a link back.', responses: { 204: plain('Gone.'), 422: refused, 503: busy } },
  },
  '/waters': {
    get: {
      summary: 'Waters of the angler and of the demonstration basin.',
      responses: { 200: plain('A list of waters.'), 503: busy },
    },
  },
  '/forecast': {
    get: {
      summary: "The day's weather and tide from the station.",
      parameters: [
        { name: 'date', in: 'query', required: true, schema: { type: 'string' }, description: 'like 2026-05-10' },
        {
          name: 'utcOffsetMin',
          in: 'query',
          required: true,
          schema: { type: 'integer' },
          description: 'minutes the clock of the place is ahead of UTC',
        },
      ],
      responses: { 200: plain('Hours, perhaps with holes, and the tide.'), 422: refused, 503: plain('It is away.') },
    },
  },
  '/sync': {
    post: {
      summary: "Records of the angler's devices: events in, acknowledged ids and other devices' events out, by cursor.",
      requestBody: { required: true, content: json(ref('SyncRequest')) },
      responses: {
        200: { description: 'What is kept and new.', content: json(ref('Sync')) },
        401: signedOut,
        409: faulty('It is not who it was.'),
        422: refused,
        503: busy,
      },
    },
  },
  '/news': {
    get: {
      summary:
        'Server-sent events that say when another device of the angler has written something; they hold no more.',
      responses: {
        200: { description: '`news` and `beat`.', content: { 'text/event-stream': { schema: { type: 'string' } } } },
        204: plain('Nothing is kept yet, or the session was ended.'),
        503: busy,
      },
    },
  },
  '/calls': {
    get: {
      summary: 'A page of the calls this angler has kept, newest first; a Link header leads to the next.',
      parameters: [{ name: 'after', in: 'query', schema: { type: 'string' }, description: 'from the Link header' }],
      responses: { 200: plain('A list of calls.'), 401: signedOut, 422: refused, 503: busy },
    },
  },
  '/calls/{id}': {
    parameters: [
      {
        name: 'id',
        in: 'path',
        required: true,
        schema: callId,
        description: 'Made by the client, so that keeping twice keeps once.',
      },
    ],
    put: {
      summary: 'Keep a call: what was asked, the ranking given, what was tied on.',
      requestBody: { required: true, content: json(ref('Call')) },
      responses: { 200: plain('Kept.'), 401: signedOut, 409: plain('The id is taken.'), 422: refused, 503: busy },
    },
    delete: { summary: 'Take a kept call back.', responses: { 204: plain('Gone.'), 422: refused, 503: busy } },
  },
  '/openapi.json': { get: { summary: 'This description.', responses: { 200: plain('OpenAPI 3.1.') } } },
} as const

type Method = 'get' | 'post' | 'put' | 'delete'
interface Operation {
  summary: string
  responses: Record<number, object>
}

/** What an address belongs to. */
const TAGS = {
  engine: 'The engine: asked and answered, without an account; nothing is stored.',
  records: "An angler's records, by the cookie of a device.",
  account: 'Signing in, and the devices that are.',
  crew: 'Friends, and what each shows the other.',
  jobs: 'Long work asked for as a job, to be fetched later.',
  shares: 'Links that show one thing to whoever has them.',
  place: 'Waters, forecast and instruments.',
  server: 'The server itself.',
} as const
const TAG_BY_START: Readonly<Record<string, keyof typeof TAGS>> = {
  'recommendations': 'engine',
  'readings': 'engine',
  'day-plans': 'engine',
  'kits': 'engine',
  'trials': 'engine',
  'season': 'engine',
  'pools': 'engine',
  'imports': 'records',
  'lures': 'engine',
  'account': 'account',
  'crew': 'crew',
  'shares': 'shares',
  'jobs': 'jobs',
  'device': 'account',
  'sign-out': 'account',
  'recovery-code': 'account',
  'recover': 'account',
  'waters': 'place',
  'forecast': 'place',
  'instruments': 'place',
  'health': 'server',
  'openapi.json': 'server',
}

const tooMany = { ...busy, description: 'Too many requests; try again after Retry-After seconds.' }
/** What any request may be answered with. */
const ALWAYS = { 429: tooMany }
/** What one with a body, or one that changes something, may be answered with. */
const WITH_BODY = {
  400: faulty('The request broke off.'),
  413: faulty('The body is larger than it may be.'),
  415: faulty('The body is not sent as application/json.'),
  417: plain('The request expects something that no server here does.'),
}
const CHANGES = { 403: faulty('A page of another site asks.') }

const capital = (word: string) => word.charAt(0).toUpperCase() + word.slice(1)
/** An operation's name for programs: its method and its address, as `postDayPlans`. */
const operationId = (method: string, path: string) => method + (path.match(/[a-z]+/gi) ?? []).map(capital).join('')

function whole(path: string, method: Method, operation: Operation) {
  const start = path.split('/')[1]!
  const { summary } = operation
  return {
    operationId: operationId(method, path),
    tags: [TAG_BY_START[start] ?? 'records'],
    description: summary,
    ...operation,
    responses: {
      ...operation.responses,
      ...ALWAYS,
      ...('requestBody' in operation ? WITH_BODY : {}),
      ...(method === 'get' ? {} : CHANGES),
    },
  }
}

const METHODS: readonly string[] = ['get', 'post', 'put', 'delete'] satisfies Method[]
/** Every address with its methods, each with its name, what it belongs to and all it may be answered with. */
export const PATHS: Readonly<Record<string, Readonly<Record<string, unknown>>>> = Object.fromEntries(
  Object.entries(ADDRESSES).map(([path, of]) => [
    path,
    Object.fromEntries(
      Object.entries(of).map(([key, value]) => [
        key,
        METHODS.includes(key) ? whole(path, key as Method, value as Operation) : value,
      ]),
    ),
  ]),
)

/** OpenAPI 3.1 description of the stable surface, made from the schemas the server checks with. */
export function openApi(version: string) {
  const parts: Record<string, JsonSchema> = {}
  const schemas = {
    Request: described(requestSchema, parts),
    RequestByReadings: described(requestByReadingsSchema, parts),
    ReadingsRequest: described(readingsSchema, parts),
    ReadingsAnswer: described(readingsAnswerSchema, parts),
    DayRequest: described(daySchema, parts),
    DayPlan: described(dayAnswerSchema, parts),
    KitRequest: described(kitSchema, parts),
    Kit: described(kitAnswerSchema, parts),
    LuresRequest: described(luresSchema, parts),
    Lures: described(luresAnswerSchema, parts),
    SeasonRequest: described(seasonSchema, parts),
    Season: described(seasonAnswerSchema, parts),
    PoolRequest: described(poolSchema, parts),
    Pool: described(poolAnswerSchema, parts),
    Everything: described(everythingSchema, parts),
    Imported: described(importedSchema, parts),
    Account: described(accountAnswerSchema, parts),
    Name: described(nameSchema, parts),
    DeviceName: described(deviceNameSchema, parts),
    Password: described(passwordSchema, parts),
    Passkey: described(passkeySchema, parts),
    PasskeySignIn: described(passkeySignInSchema, parts),
    PasswordSignIn: described(passwordSignInSchema, parts),
    Restore: described(restoreSchema, parts),
    Crew: described(crewAnswerSchema, parts),
    Invitation: described(joinSchema, parts),
    Show: described(showSchema, parts),
    ShareInput: described(shareSchema, parts),
    Share: described(shareOutSchema, parts),
    Job: described(jobStatusSchema, parts),
    Jobs: described(jobListSchema, parts),
    SyncRequest: described(syncRequestSchema, parts),
    Sync: described(syncAnswerSchema, parts),
    OrderRequest: described(orderSchema, parts),
    Order: described(orderAnswerSchema, parts),
    VerdictRequest: described(verdictSchema, parts),
    Verdict: described(verdictAnswerSchema, parts),
    Answer: described(answerSchema, parts),
    Call: described(callSchema, parts),
    CallId: described(idSchema, parts),
    Recover: described(recoverSchema, parts),
    Faults: FAULTS,
  }
  return {
    openapi: '3.1.0',
    info: {
      title: 'Piscator',
      version,
      description: 'Ranked lure colours and finishes from the water, the light and the fish.',
      license: { name: 'MIT', identifier: 'MIT' },
      contact: { name: 'Whoever runs this Piscator' },
    },
    servers: [{ url: '/api/v1' }],
    tags: Object.entries(TAGS).map(([name, description]) => ({ name, description })),
    security: [],
    paths: PATHS,
    components: { schemas: { ...schemas, ...parts } },
  }
}
