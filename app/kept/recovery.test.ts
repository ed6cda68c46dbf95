import { createPinia, setActivePinia } from 'pinia'
import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest'
import { ref } from 'vue'
import { ownFinish } from '#core/box/own'
import { finishById } from '#core/lure/finish'
import { ENGINE_VERSION } from '#core/ranking/version'
import type { Asked } from '~/water/useScreen'
import type { ScreenModel } from '~/water/model'
import { useRecordsStore } from '~/records/store'
import { useCallsStore } from './store'
import { useKeeping } from './useKeeping'
import { useRecovery } from './useRecovery'

beforeEach(() => setActivePinia(createPinia()))
afterEach(() => vi.unstubAllGlobals())

const answering = (status: number, body: unknown) => {
  const fetch = vi.fn(async (_url: string, _init?: RequestInit) => new Response(JSON.stringify(body), { status }))
  vi.stubGlobal('fetch', fetch)
  return fetch
}

describe('records moved by a code', () => {
  const heard = () => [vi.spyOn(useRecordsStore(), 'hearAnew').mockResolvedValue()]
  it('are those of a new code, which is shown', async () => {
    const fetch = answering(200, { code: 'AB-CD' })
    const { make, code, words, busy } = useRecovery()
    const making = make()
    expect(busy.value).toBe(true)
    await making
    expect([code.value, words.value, busy.value]).toEqual(['AB-CD', '', false])
    expect(fetch.mock.calls[0]).toEqual(['/api/v1/recovery-code', { method: 'POST' }])
  })
  it('come to this device with all that was kept, heard from the beginning', async () => {
    const fetch = answering(200, {})
    const all = heard()
    const { use, words } = useRecovery()
    await use(' AB-CD ')
    expect(JSON.parse(fetch.mock.calls[0]![1]!.body as string)).toEqual({ code: 'AB-CD' })
    for (const one of all) expect(one).toHaveBeenCalledOnce()
    expect(words.value).toMatch(/on this device now/)
  })
  it.each([
    [422, { errors: [{ message: 'No such code.' }, { message: 'Check it.' }] }, 'No such code. Check it.'],
    [422, { errors: [] }, 'The server does not answer just now. Try again in a moment.'],
    [503, {}, 'The server does not answer just now. Try again in a moment.'],
  ])('stay where they are on %i, and it is said why', async (status, body, said) => {
    answering(status, body)
    const all = heard()
    const { use, words } = useRecovery()
    await use('AB')
    expect(words.value).toBe(said)
    for (const one of all) expect(one).not.toHaveBeenCalled()
  })
  it('say so where no server is to be had', async () => {
    vi.stubGlobal('fetch', () => Promise.reject(new TypeError('no signal')))
    const { make, words, busy, code } = useRecovery()
    await make()
    expect([words.value, busy.value, code.value]).toEqual([
      'The server does not answer just now. Try again in a moment.',
      false,
      '',
    ])
  })
})

describe('a call is kept', () => {
  const asked: Asked = {
    waterId: null,
    request: {
      lure: 'jerkbait',
      water: { visibilityM: 1, tint: 'green' },
      light: { sky: 'clear', sunElevationDeg: 40 },
      limit: 5,
      units: 'us',
    },
  }
  const keeping = (finish: { id: string; name: string } | null) => {
    const keep = vi.spyOn(useCallsStore(), 'keep').mockReturnValue(undefined as never)
    const screen = ref(
      finish && ({ call: { finish, rank: 2 }, rows: [{ finishId: 'jerkbait.white' }] } as unknown as ScreenModel),
    )
    return { sent: keep, ...useKeeping({ screen, asked: ref(asked) }) }
  }
  it('with the question it answered, but for how it was to be told', () => {
    const { sent, hindrance, keep } = keeping(finishById('jerkbait.bone')!)
    expect(hindrance.value).toBe('')
    keep()
    const { limit: _l, units: _u, ...question } = asked.request
    expect(sent.mock.calls[0]![0]).toEqual({
      asked: question,
      tiedOn: 'jerkbait.bone',
      name: 'Bone',
      waterId: null,
      rank: 2,
      shown: { engine: ENGINE_VERSION, first: ['jerkbait.white'] },
    })
  })
  it('not of colours of one’s own, and not before there is one', () => {
    const coats = { belly: { colour: '#101010', material: 'matte' } } as const
    const own = ownFinish({ id: 'x', lure: 'jerkbait', finishId: 'jerkbait.bone', name: 'Mine', coats })!
    for (const finish of [own, null]) {
      const { sent, hindrance, keep } = keeping(finish)
      keep()
      expect(sent).not.toHaveBeenCalled()
      expect(hindrance.value !== '').toBe(finish !== null)
    }
  })
})
