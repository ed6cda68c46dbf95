import { MINUTE_MS } from '#core/units'
import { DateTime } from 'luxon'
import { midnightMs } from '#core/day/clock'
import { knownFinish } from '#core/box/own'
import type { DayRequest } from '#core/day/request'
import { LURE_SHORT, cautionName } from '~/words/options'
import type { DayShown, PlanShown, SpellShown } from './work'

/** What goes out of a plan: to print, to a calendar, to a file. */
export interface PlanOut {
  water: string
  /** IANA zone of the place. */
  zone: string
  request: DayRequest
  light: DayShown
  plan: PlanShown
}

/** The moment of a minute of the plan's day. */
export const msOf = ({ date, place }: DayRequest, min: number): number =>
  midnightMs(date, place.utcOffsetMin) + min * MINUTE_MS

/** One change of the day: when, what, why. */
export interface ChangeOut {
  min: number
  endMin: number
  lure: string
  finish: string
  why: string
}

/** What is tied on when, in the order of the day. */
export function changesOf({ request, light, plan }: Pick<PlanOut, 'request' | 'light' | 'plan'>): ChangeOut[] {
  const change = (spell: SpellShown, lane: number): ChangeOut => ({
    min: light.steps[spell.from]!.atMin,
    endMin: light.steps[spell.to - 1]!.endMin,
    lure: LURE_SHORT[request.lures[lane]!.lure],
    finish: knownFinish(spell.finishId)?.name ?? spell.finishId,
    why: spell.why,
  })
  return plan.lanes.flatMap((spells, lane) => spells.map(s => change(s, lane))).sort((a, b) => a.min - b.min)
}

/** The changes and cautions as an iCalendar file (RFC 5545), each change with a note and an alarm. */
export async function calendarOf(out: PlanOut): Promise<string> {
  const { default: ical, ICalAlarmType } = await import('ical-generator')
  const calendar = ical({ name: `${out.water}, ${out.request.date}`, prodId: { company: 'Piscator', product: 'Day' } })
  const stamp = new Date(msOf(out.request, 0))
  const add = (min: number, endMin: number, summary: string, description: string, alarm: boolean) => {
    const event = calendar.createEvent({
      id: `${out.request.date}-${min}-${summary.toLowerCase().replace(/[^a-z0-9]+/g, '-')}@piscator`,
      start: new Date(msOf(out.request, min)),
      end: new Date(msOf(out.request, endMin)),
      stamp,
      summary,
      description,
      location: out.water,
    })
    if (alarm) event.createAlarm({ type: ICalAlarmType.display, trigger: 5 * 60, description: summary })
  }
  for (const c of changesOf(out)) add(c.min, c.endMin, `${c.lure}: ${c.finish}`, c.why, true)
  for (const c of out.plan.cautions) add(c.fromMin, c.toMin, cautionName(c.kind), c.text, false)
  return calendar.toString()
}

/** The plan as JSON: what was asked, and what came of it. */
export const jsonOf = (out: PlanOut): string =>
  JSON.stringify(
    {
      water: out.water,
      zone: out.zone,
      asked: out.request,
      changes: changesOf(out).map(c => ({
        ...c,
        from: DateTime.fromMillis(msOf(out.request, c.min), { zone: out.zone }).toISO(),
        to: DateTime.fromMillis(msOf(out.request, c.endMin), { zone: out.zone }).toISO(),
      })),
      pack: out.plan.pack.map(({ finishId, lost }) => ({ finishId, lost })),
      of100: { pack: out.plan.packed, oneColourARod: out.plan.oneEach },
      cautions: out.plan.cautions,
    },
    null,
    2,
  )
