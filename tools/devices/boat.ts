import { type Server, type Socket, createServer } from 'node:net'
import { pathToFileURL } from 'node:url'
import { appendChecksumFooter, encodeLatitude, encodeLongitude } from 'nmea-simple/dist/helpers'
import { encodeNmeaPacket } from 'nmea-simple'
import { uniformFrom } from '#core/numeric/uniform'

/**
 * A made-up boat for the demonstration: sounder, thermometer, wind vane, positioning and a light meter on a cord, all
 * on one NMEA 0183 line over TCP. It drifts about the farm pond by a seeded clock, drops out now and then, and now and
 * then sends a sentence that is broken, as a wet plug does.
 */
const EVERY_MS = 1000
/** Where it drifts, and over how much water. */
const HOME = { latitude: 34.8702, longitude: -84.3004 }
/** Of a hundred rounds: silent ones, and ones with a broken sentence or one that cannot be. */
const [SILENT, BROKEN, ABSURD] = [2, 6, 1]
/** The light meter goes down and up once in so many rounds, so deep, m. */
const [CORD_ROUNDS, CORD_M] = [40, 2]
/** Fall of light with depth in green water that loses a disc at 1.1 m, 1/m. */
const FALL = { lux: 1.25, red: 1.35, green: 1.1, blue: 2.1 }

const RMC_TIME = (at: Date) => at.toISOString().slice(11, 19).replaceAll(':', '')
const RMC_DATE = (at: Date) =>
  at.toISOString().slice(8, 10) + at.toISOString().slice(5, 7) + at.toISOString().slice(2, 4)
const sentence = (text: string) => appendChecksumFooter(`$${text}`)

/** The sentences of a round. The same seed, round and time give the same. */
export function roundOf(seed: number, round: number, at: Date): string[] {
  const draw = uniformFrom(seed * 7919 + round)
  const wave = (period: number, phase = 0) => Math.sin((2 * Math.PI * round) / period + phase + seed)
  const of100 = () => draw() * 100
  if (of100() < SILENT) return []
  const depth = of100() < ABSURD ? 300 : 2.4 + 1.1 * wave(210) + 0.4 * wave(37) + 0.05 * (draw() - 0.5)
  const latitude = HOME.latitude + 0.0006 * wave(600)
  const longitude = HOME.longitude + 0.0008 * wave(470, 1)
  const water = 15.2 + 0.5 * wave(900) + 0.1 * (draw() - 0.5)
  const wind = Math.max(0, 2.2 + 1.4 * wave(160) + 0.6 * (draw() - 0.5))
  const down = 1 - Math.abs(((round % CORD_ROUNDS) / CORD_ROUNDS) * 2 - 1)
  const cord = 0.1 + CORD_M * down
  const light = (fall: number, top: number) => top * Math.exp(-fall * cord) * (1 + 0.08 * (draw() - 0.5))
  const place = [encodeLatitude(latitude), encodeLongitude(longitude)].join(',')
  const lines = [
    sentence(`SDDPT,${depth.toFixed(1)},0.2`),
    encodeNmeaPacket(
      { sentenceId: 'DBT', depthFeet: depth / 0.3048, depthMeters: depth, depthFathoms: depth / 1.8288 },
      'SD',
    ),
    sentence(`YXMTW,${water.toFixed(1)},C`),
    encodeNmeaPacket(
      {
        sentenceId: 'MWV',
        windAngle: 90 + 40 * wave(80),
        reference: 'relative',
        speed: wind,
        units: 'M',
        status: 'valid',
      },
      'WI',
    ),
    sentence(`GPRMC,${RMC_TIME(at)},A,${place},0.4,84.0,${RMC_DATE(at)},,,A`),
    sentence(`GPGGA,${RMC_TIME(at)},${place},1,08,1.0,312.0,M,-31.0,M,,`),
    sentence(
      `IIXDR,D,${cord.toFixed(2)},M,CORD,G,${light(FALL.lux, 31_000).toFixed(0)},,LUX,` +
        `G,${light(FALL.red, 1).toFixed(4)},,RED,G,${light(FALL.green, 1).toFixed(4)},,GREEN,` +
        `G,${light(FALL.blue, 1).toFixed(4)},,BLUE`,
    ),
  ]
  if (of100() >= BROKEN) return lines
  const at0 = Math.floor(draw() * lines.length)
  return lines.map((l, i) => (i === at0 ? l.slice(0, Math.floor(draw() * l.length)) + '\u00ff7' : l))
}

/** The boat as a server that is not listening yet. */
export function boatServer(seed = 5, now: () => Date = () => new Date(), everyMs = EVERY_MS): Server {
  const heard = new Set<Socket>()
  let round = 0
  const timer = setInterval(() => {
    const lines = roundOf(seed, round++, now())
    for (const s of heard) if (lines.length) s.write(lines.map(l => `${l}\r\n`).join(''), 'latin1')
  }, everyMs)
  const server = createServer(socket => {
    heard.add(socket)
    socket.on('error', () => {})
    socket.on('close', () => heard.delete(socket))
    // What is said to it is not listened to.
    socket.resume()
  })
  server.on('close', () => {
    clearInterval(timer)
    for (const s of heard) s.destroy()
  })
  return server
}

if (process.argv[1] && import.meta.url === pathToFileURL(process.argv[1]).href) {
  const port = Number(process.env.BOAT_PORT)
  boatServer().listen(port, '127.0.0.1', () => console.log(`simulated boat on tcp://127.0.0.1:${port}`))
}
