import { ConnectionAcquireTimeoutError, ConnectionError, DatabaseError, ValidationError } from 'sequelize'
import { describe, expect, it } from 'vitest'
import { replyTo } from '#server/error'
import { TooBusyError } from '#server/ranking/lane'
import { databaseFault } from './faults'

/** Seconds after which each is worth another try. */
const RETRY: Record<string, number | undefined> = {
  'database-away': 3,
  'database-busy': 3,
  'database-read-only': 60,
  'database-full': 300,
  'database-unready': 60,
  'database-fault': undefined,
}

const lost = (code?: string) => Object.assign(new Error('words that may change'), code ? { code } : {})
const refused = (code?: string) => new DatabaseError(Object.assign(lost(code), { sql: 'select secret' }))

describe('a fault of the database', () => {
  it.each([
    ['57P01', 503, 'database-away'],
    ['57P03', 503, 'database-away'],
    ['08006', 503, 'database-away'],
    ['57014', 503, 'database-busy'],
    ['53300', 503, 'database-busy'],
    ['55P03', 503, 'database-busy'],
    ['40001', 503, 'database-busy'],
    ['40P01', 503, 'database-busy'],
    ['25006', 503, 'database-read-only'],
    ['53100', 507, 'database-full'],
    ['54000', 507, 'database-full'],
    ['42P01', 503, 'database-unready'],
    ['3D000', 503, 'database-unready'],
    ['28P01', 503, 'database-unready'],
    ['23503', 503, 'database-unready'],
    ['23514', 500, 'database-fault'],
    ['22P02', 500, 'database-fault'],
  ])('%s is told by its code: %i %s', (code, status, name) => {
    const fault = databaseFault(refused(code))!
    expect(fault).toMatchObject({ status, code: name })
    expect(fault.retryAfterS).toBe(RETRY[name])
    expect(fault.message).toMatch(/^(Your records|There is no room|Something went wrong with your records)/)
  })
  it('is told by the connection', () => {
    expect(databaseFault(new ConnectionAcquireTimeoutError(lost()))).toMatchObject({ code: 'database-busy' })
    expect(databaseFault(new ConnectionError(lost('ECONNREFUSED')))).toMatchObject({ code: 'database-away' })
    expect(databaseFault(new ConnectionError(lost('3D000')))).toMatchObject({ code: 'database-unready' })
    expect(databaseFault(new ConnectionError(lost()))).toMatchObject({ code: 'database-away' })
    expect(databaseFault(refused())).toMatchObject({ code: 'database-away' })
    expect(databaseFault(lost('ECONNRESET'))).toMatchObject({ code: 'database-away' })
    expect(databaseFault(lost('57P01'))).toMatchObject({ code: 'database-away' })
  })
  it('is not seen where there is none', () => {
    for (const other of [null, undefined, 'x', new Error('ECONNREFUSED'), lost('ENOENT'), new TypeError('x')]) {
      expect(databaseFault(other)).toBeNull()
    }
    expect(databaseFault(new ValidationError('x', []))).toMatchObject({ status: 500 })
  })
})

describe('what a client is told', () => {
  it('is our own faults as they are', () => {
    const errors = [{ path: 'lure', code: 'any.only', message: 'Not one.' }]
    expect(replyTo({ statusCode: 422, data: { errors } })).toEqual({ status: 422, errors })
  })
  it('is when to come again where that helps', () => {
    expect(replyTo({ statusCode: 500, cause: refused('57P01') })).toMatchObject({ status: 503, retryAfterS: 3 })
    expect(replyTo({ statusCode: 500, cause: new TooBusyError() })).toMatchObject({
      status: 503,
      retryAfterS: 1,
      errors: [{ code: 'busy' }],
    })
    expect(replyTo({ statusCode: 500, cause: refused('22P02') })).not.toHaveProperty('retryAfterS')
  })
  it('is a plain sentence for anything else, and nothing of a library', () => {
    for (const [statusCode, status, words] of [
      [404, 404, /nothing at this address/],
      [405, 405, /kind of request/],
      [400, 400, /could not be read/],
      [500, 500, /on our side/],
      [200, 500, /on our side/],
      [999, 500, /on our side/],
    ] as const) {
      const reply = replyTo({ statusCode, cause: new Error('secret') })
      expect(reply).toMatchObject({ status, errors: [{ path: '', code: String(status) }] })
      expect(reply.errors[0]!.message).toMatch(words)
    }
    expect(JSON.stringify(replyTo({ statusCode: 500, cause: refused('42P01') }))).not.toMatch(/secret|select/)
  })
})
