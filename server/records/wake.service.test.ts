import { v7 as newId } from 'uuid'
import { afterAll, beforeAll, describe, expect, it } from 'vitest'
import { type Database, openDatabase } from '#server/db/connection'
import { rows } from '#server/db/rows'
import { openNewsLine, tellNews } from './wake'

let db: Database
beforeAll(() => {
  db = openDatabase(process.env.NUXT_DATABASE_URL!)
})
afterAll(() => db.sequelize.close())

const comes = async (so: () => boolean) => {
  for (let i = 0; i < 200 && !so(); i++) await new Promise(r => setTimeout(r, 25))
  expect(so()).toBe(true)
}

describe('news', () => {
  it('are heard by whoever listens for that angler, and once more after a line that broke', async () => {
    const line = openNewsLine(process.env.NUXT_DATABASE_URL!)
    const [angler, other] = [newId(), newId()]
    const heard: string[] = []
    const nothing: string[] = []
    const stop = line.listen(angler, by => heard.push(by))
    line.listen(other, by => nothing.push(by))
    const listening = `select pid from pg_stat_activity where query = 'listen records' and usename = current_user`
    let found: { pid: number }[] = []
    for (let i = 0; i < 100 && !found.length; i++) {
      found = await rows<{ pid: number }>(db, listening)
      await new Promise(r => setTimeout(r, 20))
    }
    await tellNews(db, angler, 'phone')
    await comes(() => heard.length === 1)
    expect([heard, nothing]).toEqual([['phone'], []])
    // Broken off, what was missed is not known: everybody who listens is told.
    for (const { pid } of found) await rows(db, 'select pg_terminate_backend($pid)', { pid })
    await comes(() => heard.length === 2 && nothing.length === 1)
    await tellNews(db, angler)
    await comes(() => heard.length === 3)
    stop()
    await tellNews(db, angler)
    await tellNews(db, other)
    await comes(() => nothing.length === 2)
    expect(heard).toEqual(['phone', '', ''])
    await line.close()
  })
  it('of a transaction are told once it is over, and not at all where it is taken back', async () => {
    const line = openNewsLine(process.env.NUXT_DATABASE_URL!)
    const angler = newId()
    const heard: string[] = []
    line.listen(angler, by => heard.push(by))
    await new Promise(r => setTimeout(r, 300))
    await db.sequelize
      .transaction(async transaction => {
        await tellNews(db, angler, 'lost', transaction)
        throw new Error('taken back')
      })
      .catch(() => {})
    await db.sequelize.transaction(async transaction => {
      await tellNews(db, angler, 'kept', transaction)
      await new Promise(r => setTimeout(r, 100))
      expect(heard).toEqual([])
    })
    await comes(() => heard.length === 1)
    expect(heard).toEqual(['kept'])
    await line.close()
  })
})
