import type { Request } from '#core/request/request'
import type { Answer, Role } from '#core/ranking/answer'

/** A case of practised picks in the contract's words. */
export interface Case {
  id: string
  school: NonNullable<Request['school']>
  request: Omit<Request, 'school'>
  expect: {
    topAny?: string[]
    topTraits?: Record<string, unknown>
    notTop?: string[]
    firstAny?: string[]
    rotationAny?: Partial<Record<Role, string[]>>
    forageTop?: string
    seasonIs?: string
  }
}

const shares = (families: readonly string[], wanted: readonly string[]) => families.some(f => wanted.includes(f))

/** What an answer misses of a case, in words; empty where it is met. */
export function misses({ expect }: Case, answer: Answer): string[] {
  const top = answer.ranked.slice(0, 3).map(r => r.finish)
  const out: string[] = []
  const meeting = top.filter(f => !expect.topAny || shares(f.families, expect.topAny))
  if (expect.topAny && !meeting.length) out.push(`top 3 has none of ${expect.topAny.join(' ')}`)
  if (
    expect.topTraits &&
    !meeting.some(f => Object.entries(expect.topTraits!).every(([k, v]) => f.traits[k as keyof typeof f.traits] === v))
  ) {
    out.push(`top 3 has none with ${JSON.stringify(expect.topTraits)}`)
  }
  for (const f of top) if (expect.notTop?.includes(f.families[0]!)) out.push(`top 3 leads with ${f.families[0]}`)
  if (expect.firstAny && !shares(top[0]!.families, expect.firstAny)) out.push(`first is ${top[0]!.families.join(' ')}`)
  for (const [role, wanted] of Object.entries(expect.rotationAny ?? {})) {
    const rod = answer.rotation.find(r => r.role === role)
    if (!rod || !shares(rod.finish.families, wanted)) out.push(`${role} rod is ${rod?.finish.families.join(' ')}`)
  }
  const assumed = (path: string) => answer.assumed.find(a => a.path === path)?.value
  if (expect.seasonIs && assumed('season') !== expect.seasonIs) out.push(`season is ${String(assumed('season'))}`)
  if (expect.forageTop) {
    const kind = (assumed('forage') as { kind: string }[] | undefined)?.[0]?.kind
    if (kind !== expect.forageTop) out.push(`food is ${kind}`)
  }
  return out
}
