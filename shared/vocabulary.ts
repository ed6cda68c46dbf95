import { REQUEST } from '#core/request/request'

const { fields } = REQUEST
const water = fields.water.fields
const light = fields.light.fields
const place = light.at.fields

/** The contract's words, read off the fields of the request. */
export const VOCABULARY = {
  lure: fields.lure.words,
  species: fields.species.words,
  school: fields.school.words,
  tint: water.tint.words,
  salinity: water.salinity.words,
  pressure: water.pressure.words,
  tide: water.tide.words,
  trend: water.trend.words,
  sky: light.sky.words,
  wind: light.wind.words,
  facing: light.facing.words,
  canopy: light.canopy.words,
  season: fields.season.words,
  forage: water.prey.of.words,
  clue: fields.clues.of.words,
  background: fields.background.words,
  cover: water.cover.fields.kind.words,
  density: water.cover.fields.density.words,
  family: fields.fishedThrough.of.words,
  units: fields.units.words,
} as const

/** Ranges of the contract's numbers, both ends allowed. */
export const LIMITS = {
  visibilityM: water.visibilityM.range,
  temperatureC: water.temperatureC.range,
  sunElevationDeg: light.sunElevationDeg.range,
  latitude: place.latitude.range,
  longitude: place.longitude.range,
  share: light.cloud.range,
  waterDepthM: water.depthM.range,
  depthM: fields.depthM.range,
  fishM: fields.fishM.range,
  limit: fields.limit.range,
} as const
