import { v7 as newId } from 'uuid'
import { expect } from 'vitest'
import { Client } from './client'

export const PASSWORD = 'four slow carp under ice'
let made = 0

/** Devices and accounts on a server that believes its proxy. */
export function members(url: () => string) {
  const newName = () => `Tern ${newId().slice(-6)}${made++}`
  /** An address of its own for each device, so that limits meet only who tries too often. */
  const device = () => new Client(url(), `10.1.${Math.floor(++made / 250)}.${made % 250}`)
  async function member(name = newName()) {
    const c = device()
    expect((await c.call('PUT', '/account/password', { name, password: PASSWORD })).status).toBe(204)
    return { c, name }
  }
  const signIn = (c: Client, name: string, password = PASSWORD) =>
    c.call('POST', '/account/sign-in/password', { name, password })
  return { newName, device, member, signIn }
}

export const event = (kind: string, body: object, recordId = newId(), at = '2026-05-10T12:00:00.000Z') => ({
  id: newId(),
  kind,
  recordId,
  at,
  body,
})
