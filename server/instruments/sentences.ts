import { DefaultPacketFactory, type Packet, parseGenericPacket } from 'nmea-simple'
import type { LightSample, Quantity } from '#shared/instruments'

/**
 * What an NMEA 0183 sentence tells: depth (DPT, DBT), water temperature (MTW), wind (MWV), position (RMC, GGA), and a
 * light meter's sample as transducer measurements (XDR) named CORD, LUX, RED, GREEN and BLUE.
 */
export interface NmeaSentence {
  told: Partial<Record<Quantity, number>>
  light?: LightSample
}

/** Longest sentence that is read: the standard's 82 characters with room for talkers that do not keep to it. */
export const MOST_CHARACTERS = 160
/** Wind speed of MWV in m/s, by its unit letter. */
const MPS = { K: 1 / 3.6, M: 1, N: 1852 / 3600 } as const

/** Sentences the parser does not know of itself, as their fields. */
interface Fields {
  sentenceId: 'DPT' | 'MTW' | 'XDR'
  fields: string[]
}
class WithWater extends DefaultPacketFactory<Fields> {
  override assembleCustomPacket(stub: { sentenceId: string }, fields: string[]): Fields | null {
    const { sentenceId } = stub
    return sentenceId === 'DPT' || sentenceId === 'MTW' || sentenceId === 'XDR' ? { sentenceId, fields } : null
  }
}
const factory = new WithWater()

const numberOf = (text: string | undefined): number | null => {
  const n = text === undefined || text.trim() === '' ? NaN : Number(text)
  return Number.isFinite(n) ? n : null
}
const some = (told: Partial<Record<Quantity, number | null>>): NmeaSentence | null => {
  const known = Object.entries(told).filter(([, v]) => typeof v === 'number' && Number.isFinite(v))
  return known.length ? { told: Object.fromEntries(known) as NmeaSentence['told'] } : null
}

/** Measurements of an XDR sentence by their names: quadruples of type, value, unit and name. */
function transducers(fields: readonly string[]): Map<string, number> {
  const out = new Map<string, number>()
  for (let i = 1; i + 3 < fields.length; i += 4) {
    const value = numberOf(fields[i + 1])
    if (value !== null) out.set(fields[i + 3]!.trim().toUpperCase(), value)
  }
  return out
}
function lightOf(fields: readonly string[]): NmeaSentence | null {
  const by = transducers(fields)
  const [depthM, lux] = [by.get('CORD'), by.get('LUX')]
  if (depthM === undefined || lux === undefined || !(depthM >= 0 && depthM <= 60 && lux > 0 && lux <= 2e5)) return null
  const colour = (name: string) => {
    const v = by.get(name.toUpperCase())
    return v !== undefined && v >= 0 && v <= 1e6 ? { [name]: v } : {}
  }
  return { told: {}, light: { depthM, lux, ...colour('red'), ...colour('green'), ...colour('blue') } }
}

function tellOf(packet: Packet | Fields): NmeaSentence | null {
  switch (packet.sentenceId) {
    case 'DPT': {
      const [depth, offset] = [numberOf(packet.fields[1]), numberOf(packet.fields[2])]
      // A positive offset reaches from the transducer to the waterline; a negative one to the keel.
      return depth === null ? null : some({ depthM: depth + Math.max(0, offset ?? 0) })
    }
    case 'DBT':
      return some({ depthM: packet.depthMeters || null })
    case 'MTW':
      return packet.fields[2]?.trim() === 'C' ? some({ temperatureC: numberOf(packet.fields[1]) }) : null
    case 'MWV':
      return packet.status === 'valid' ? some({ windMps: packet.speed * (MPS[packet.units] ?? NaN) }) : null
    case 'RMC':
      return packet.status === 'valid' ? some({ latitude: packet.latitude, longitude: packet.longitude }) : null
    case 'GGA':
      return packet.fixType === 'none' ? null : some({ latitude: packet.latitude, longitude: packet.longitude })
    case 'XDR':
      return lightOf(packet.fields)
    default:
      return null
  }
}

/** What a line tells; null where it is no whole sentence with the right sum, or tells nothing that is used here. */
export function readSentence(line: string): NmeaSentence | null {
  const text = line.trim()
  // Without a sum nothing is taken: a wet plug makes lines that look right.
  if (text.length > MOST_CHARACTERS || !/^[$!][\x20-\x7e]+\*[0-9A-Fa-f]{2}$/.test(text)) return null
  try {
    return tellOf(parseGenericPacket(text, factory))
  } catch {
    return null
  }
}
