import type { CrewAnswer } from '#shared/schema/crew'
import { listAboard } from '#server/crew/aboard'
import { listCrew, listInvites } from '#server/crew/crew'

/** The angler's crew: who is of it, what each shows the other, and invitations that are still good. */
export default defineEventHandler(async (event): Promise<CrewAnswer> => {
  const id = await knownAngler(event)
  const db = database()
  const [people, invites, aboard] = await Promise.all([listCrew(db, id), listInvites(db, id), listAboard(db, id)])
  return {
    people: people.map(p => ({ ...p, since: p.since.toISOString() })),
    invites: invites.map(i => ({ ...i, until: i.until.toISOString() })),
    aboard,
  }
})
