import { describe, expect, it } from 'vitest'
import type { Finish } from '#core/lure/finish'
import type { Conditions } from '#core/request/resolve'
import type { Moment } from '#core/schools/school'
import type { Measured } from '#core/sight/measure'
import { type Favours, type When, fitting, holds } from './custom'

const moment = (conditions: Partial<Conditions> = {}, grades: Partial<Moment['grades']> = {}): Moment =>
  ({
    conditions: {
      lure: 'jerkbait',
      species: 'largemouth-bass',
      phases: { summer: 0.75, postspawn: 0.25 },
      tide: null,
      tint: 'green',
      sky: 'clear',
      canopy: 'open',
      salinity: 'fresh',
      pressure: 'normal',
      background: 'open',
      visibilityM: 2,
      temperatureC: 20,
      depthM: 1,
      sunElevationDeg: 50,
      lamps: false,
      bitesRefused: false,
      fishedThrough: [],
      prey: {
        shares: [
          { kind: 'shad', share: 0.5 },
          { kind: 'fry', share: 0.1 },
        ],
        moved: [],
        from: 'season',
      },
      ...conditions,
    },
    grades: { sunny: 1, dim: 0, night: 0, windy: 0, clear: 1, dirty: 0, slow: 1, ...grades },
  }) as unknown as Moment

describe('when a custom holds', () => {
  it.each<[string, When, Moment, number]>([
    ['nothing asked', {}, moment(), 1],
    ['the lure', { lures: ['jerkbait'] }, moment(), 1],
    ['another lure', { lures: ['popper'] }, moment(), 0],
    ['its group', { groups: ['hard-bait'] }, moment(), 1],
    ['another group', { groups: ['surface', 'spoon'] }, moment(), 0],
    ['a surface lure asked for', { surface: true }, moment(), 0],
    ['a surface lure ruled out', { surface: false }, moment(), 1],
    ['a bottom lure asked for', { bottom: true }, moment({ lure: 'craw' }), 1],
    ['a bottom lure ruled out', { bottom: false }, moment({ lure: 'craw' }), 0],
    ['the fish', { species: ['snook'] }, moment({ species: 'snook' }), 1],
    ['another fish', { species: ['snook'] }, moment(), 0],
    ['the phase, as far as it holds', { phases: ['spawn', 'summer'] }, moment(), 0.75],
    ['phases that overlap', { phases: ['postspawn', 'summer'] }, moment(), 1],
    ['the tide', { tides: ['falling'] }, moment({ tide: 'falling' }), 1],
    ['another tide', { tides: ['falling'] }, moment({ tide: 'rising' }), 0],
    ['no tide known', { tides: ['falling'] }, moment(), 0],
    ['food that must not be thick, where it is', { notPrey: { shad: 0.25 } }, moment(), 0],
    ['and where it is half as thick again', { notPrey: { shad: 0.3333 } }, moment(), 0.5],
    ['another phase', { phases: ['spawn'] }, moment(), 0],
    ['the tint', { tints: ['tea'] }, moment(), 0],
    ['the sky', { skies: ['overcast', 'rain'] }, moment({ sky: 'rain' }), 1],
    ['another sky', { skies: ['overcast'] }, moment(), 0],
    ['the canopy', { canopies: ['mat'] }, moment({ canopy: 'mat' }), 1],
    ['another canopy', { canopies: ['mat'] }, moment(), 0],
    ['salt', { salinities: ['salt', 'brackish'] }, moment(), 0],
    ['much fished', { pressures: ['high'] }, moment({ pressure: 'high' }), 1],
    ['little fished', { pressures: ['high'] }, moment(), 0],
    ['lamps', { lamps: true }, moment({ lamps: true }), 1],
    ['no lamps', { lamps: true }, moment(), 0],
    ['refused', { refused: true }, moment({ bitesRefused: true }), 1],
    ['not refused', { refused: true }, moment(), 0],
    ['fished through', { fishedThrough: true }, moment({ fishedThrough: ['white'] }), 1],
    ['a fresh spot', { fishedThrough: true }, moment(), 0],
    ['the very background', { backgrounds: ['rock'] }, moment({ background: 'rock' }), 1],
    ['its kind', { backgrounds: ['bottom'] }, moment({ background: 'rock' }), 1],
    ['another kind', { backgrounds: ['weed', 'sand'] }, moment({ background: 'rock' }), 0],
    ['well inside the clarity', { visibilityM: [1, 3] }, moment(), 1],
    ['at its upper edge', { visibilityM: [0.5, 2] }, moment(), 0],
    ['half way in from it', { visibilityM: [0.5, 2.1818] }, moment(), 0.5],
    ['at its lower edge', { visibilityM: [2, 9] }, moment(), 0],
    ['half way in from that', { visibilityM: [1.7778, 9] }, moment(), 0.5],
    ['past the clarity', { visibilityM: [0.1, 1.6] }, moment(), 0],
    ['two grades at once', { sunny: [0.5, 1], windy: [0, 0.2] }, moment(), 1],
    ['a grade that is not met', { night: [0.5, 1] }, moment(), 0],
    ['half a grade', { sunny: [0, 0.5] }, moment({}, { sunny: 0.55 }), 0.5],
    ['an edge at nothing, faded over two hundredths', { dim: [0, 0] }, moment({}, { dim: 0.01 }), 0.5],
    ['grades multiply', { sunny: [0, 0.5], dim: [0, 0] }, moment({}, { sunny: 0.55, dim: 0.01 }), 0.25],
    ['the temperature', { temperatureC: [18, 22] }, moment(), 1],
    ['no temperature known', { temperatureC: [18, 22] }, moment({ temperatureC: null }), 0],
    ['the depth', { depthM: [2, 5] }, moment({ depthM: 1 }), 0],
    ['the height of the sun', { sunDeg: [30, 90] }, moment(), 1],
    ['a low sun', { sunDeg: [30, 90] }, moment({ sunElevationDeg: 10 }), 0],
    ['the food, in proportion', { prey: { shad: 0.25 } }, moment(), 0.7],
    ['too little of the food', { prey: { fry: 0.25 } }, moment(), 0],
    ['the likeliest of the foods named', { prey: { fry: 0.05, shad: 0.25, frog: 0.1 } }, moment(), 0.7],
  ])('%s', (_, when, at, k) => expect(holds(when, at)).toBeCloseTo(k, 3))
})

describe('what a custom speaks for', () => {
  const finish = (over: Partial<Finish>): Measured =>
    ({
      finish: {
        families: ['white', 'chartreuse'],
        traits: { opacity: 'opaque', flash: 'none', tone: 'light', vivid: true, matte: true },
        mimics: 'shad',
        parts: [{ part: 'back', coat: { paint: 'slate' } }],
        ...over,
      },
    }) as unknown as Measured
  const plain = finish({})
  it.each<[string, Favours, Measured, number]>([
    ['anything', {}, plain, 1],
    ['the leading family', { families: ['white', 'bone'] }, plain, 1],
    ['the second', { families: ['chartreuse'] }, plain, 0.6],
    ['the third', { families: ['black'] }, finish({ families: ['white', 'red', 'black'] }), 0.4],
    ['a family it has not', { families: ['black'] }, plain, 0],
    ['the first family', { first: ['white'] }, plain, 1],
    ['a family that does not lead', { first: ['chartreuse'] }, plain, 0],
    ['nothing but these', { only: ['white', 'chartreuse', 'black'] }, plain, 1],
    ['something else as well', { only: ['white'] }, plain, 0],
    ['both worn together', { both: ['chartreuse', 'white'] }, plain, 1],
    ['one of both', { both: ['chartreuse', 'black'] }, plain, 0],
    ['traits', { traits: { vivid: true, flash: 'none' } }, plain, 1],
    ['one trait amiss', { traits: { vivid: true, flash: 'high' } }, plain, 0],
    ['painted after it', { mimics: ['herring', 'shad'] }, plain, 1],
    ['painted after another', { mimics: ['frog'] }, plain, 0],
    ['painted after nothing', { mimics: ['shad'] }, finish({ mimics: null }), 0],
    ['a part in a family', { parts: { back: ['grey'] } }, plain, 1],
    ['a part in another', { parts: { back: ['blue'] } }, plain, 0],
    ['a part it has not', { parts: { tail: ['white'] } }, plain, 0],
  ])('%s', (_, favours, m, fit) => expect(fitting(favours)(m)).toBe(fit))
})
