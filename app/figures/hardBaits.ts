import type { Figure } from './types'

const LINE_BODY = { back: [120, 46], flank: [140, 58], belly: [130, 70] } as const

/** Crankbaits, minnow plugs and surface plugs. */
export const SHALLOW_CRANK: Figure = {
  layers: [
    { kind: 'treble', x: 112, y: 86, s: 0.95, rot: 0 },
    { kind: 'treble', x: 204, y: 58, s: 0.88, rot: -18 },
    // A square bill, short and steep.
    { kind: 'shape', part: 'bill', d: 'M66 68L42 104L20 96L28 76L62 60Z' },
    { kind: 'detail', d: 'M58 68L34 92' },
    { kind: 'ring', x: 40, y: 82, r: 3 },
    {
      kind: 'body',
      d: 'M50 60C58 41 90 27 124 29C160 31 188 46 207 60C201 68 190 76 170 83C140 93 100 94 76 84C61 78 52 69 50 60Z',
      box: [50, 28, 207, 92],
      mid: 60,
    },
    { kind: 'eye', x: 76, y: 54, r: 6.6 },
  ],
  at: { back: [124, 36], flank: [150, 58], belly: [140, 82], chin: [76, 80] },
}

export const DEEP_CRANK: Figure = {
  layers: [
    { kind: 'treble', x: 122, y: 82, s: 0.95, rot: 0 },
    { kind: 'treble', x: 214, y: 54, s: 0.85, rot: -14 },
    // A long spoon of a bill, nearly in line with the body.
    { kind: 'shape', part: 'bill', d: 'M72 66C50 74 28 92 12 108C6 112 2 106 4 98C8 84 30 66 66 54Z' },
    { kind: 'detail', d: 'M64 62C46 70 28 84 14 100' },
    { kind: 'ring', x: 30, y: 84, r: 3 },
    {
      kind: 'body',
      d: 'M62 58C68 38 98 24 132 27C166 30 196 44 216 56C210 64 196 72 176 79C146 88 108 88 86 79C72 73 63 66 62 58Z',
      box: [62, 26, 216, 87],
      mid: 57,
    },
    { kind: 'eye', x: 86, y: 51, r: 6.4 },
  ],
  at: { back: [132, 34], flank: [158, 56], belly: [150, 78], chin: [86, 76] },
}

export const LIPLESS: Figure = {
  layers: [
    { kind: 'treble', x: 98, y: 92, s: 0.92, rot: 6 },
    { kind: 'treble', x: 210, y: 70, s: 0.85, rot: -12 },
    { kind: 'ring', x: 92, y: 24, r: 3 },
    // Flat-sided and nose-down: the back rises to the line tie.
    {
      kind: 'body',
      d: 'M34 78C38 58 62 30 92 28C132 28 178 52 212 68C202 78 182 86 156 91C122 98 78 98 54 92C42 89 35 84 34 78Z',
      box: [34, 27, 212, 97],
      mid: 66,
    },
    { kind: 'detail', d: 'M128 84q3 4 0 8M136 83q3 4 0 8M144 82q3 4 0 8' },
    { kind: 'eye', x: 60, y: 68, r: 6.6 },
  ],
  at: { back: [110, 36], flank: [150, 70], belly: [120, 92], chin: [56, 88] },
}

export const JERKBAIT: Figure = {
  layers: [
    { kind: 'treble', x: 86, y: 70, s: 0.86, rot: 0 },
    { kind: 'treble', x: 142, y: 71, s: 0.86, rot: 0 },
    { kind: 'treble', x: 224, y: 56, s: 0.74, rot: 4 },
    { kind: 'shape', part: 'bill', d: 'M48 64L31 81C27 85 20 82 21 76C21 73 23 71 26 70L42 59Z' },
    { kind: 'ring', x: 33, y: 59, r: 2.8 },
    {
      kind: 'body',
      d: 'M36 58C50 48 84 43 128 45C168 47 202 53 226 57C204 67 166 73 126 73C86 74 52 70 36 58Z',
      box: [36, 44, 226, 74],
      mid: 59,
    },
    { kind: 'eye', x: 57, y: 56, r: 5.6 },
  ],
  at: LINE_BODY,
}

export const WALKER: Figure = {
  layers: [
    { kind: 'treble', x: 78, y: 73, s: 0.95, rot: 0 },
    { kind: 'treble', x: 216, y: 58, s: 0.9, rot: -14 },
    { kind: 'ring', x: 22, y: 62, r: 2.8 },
    {
      kind: 'body',
      d: 'M24 58C30 46 62 41 106 42C150 43 194 49 218 56C200 67 158 75 112 75C70 76 30 72 24 58Z',
      box: [24, 42, 218, 76],
      mid: 59,
    },
    { kind: 'eye', x: 50, y: 55, r: 6 },
  ],
  at: { back: [120, 45], flank: [150, 58], belly: [140, 70], chin: [48, 68], head: [36, 58] },
}

export const POPPER: Figure = {
  layers: [
    { kind: 'treble', x: 92, y: 76, s: 0.95, rot: 0 },
    { kind: 'strands', part: 'tail', x: 196, y: 60, len: 36, spread: 26, n: 11, droop: 8, root: 4, seed: 9 },
    { kind: 'treble', x: 196, y: 60, s: 0.85, rot: -24 },
    // A cupped face, cut back under.
    {
      kind: 'body',
      d: 'M34 40C44 37 74 38 110 42C150 46 182 54 198 60C182 68 150 76 112 78C80 79 52 78 44 76C52 66 46 52 34 40Z',
      box: [34, 37, 198, 79],
      mid: 58,
    },
    { kind: 'detail', d: 'M34 40C46 50 52 66 44 76' },
    { kind: 'ring', x: 42, y: 56, r: 2.8 },
    { kind: 'eye', x: 66, y: 52, r: 6 },
  ],
  at: { back: [120, 45], flank: [150, 58], belly: [120, 74], chin: [56, 72], head: [50, 50] },
}

export const TWITCHBAIT: Figure = {
  layers: [
    { kind: 'treble', x: 92, y: 76, s: 0.9, rot: 0 },
    { kind: 'treble', x: 186, y: 66, s: 0.85, rot: -6 },
    { kind: 'ring', x: 24, y: 56, r: 2.8 },
    // A mullet of a body, no bill, with a forked tail.
    {
      kind: 'body',
      d:
        'M26 57C34 44 66 38 104 40C142 42 176 50 200 57L232 42C226 52 226 62 232 74L198 62' +
        'C172 72 138 78 104 78C66 78 34 70 26 57Z',
      box: [26, 38, 232, 78],
      mid: 58,
    },
    { kind: 'detail', d: 'M206 54L226 48M206 60L226 68' },
    { kind: 'eye', x: 50, y: 53, r: 6 },
  ],
  at: { back: [110, 43], flank: [140, 58], belly: [120, 74] },
}

export const SWIMBAIT: Figure = {
  layers: [
    { kind: 'hook', d: 'M54 60C100 62 120 56 130 44C136 34 130 26 122 30' },
    { kind: 'ring', x: 30, y: 52, r: 2.8 },
    {
      kind: 'body',
      d:
        'M28 58C34 42 66 32 100 36C138 40 176 50 200 56C206 50 212 42 222 38C234 40 238 52 234 64' +
        'C230 76 220 80 212 76C206 72 204 66 198 62C170 72 132 84 98 84C60 84 34 74 28 58Z',
      box: [28, 32, 236, 84],
      mid: 58,
    },
    { kind: 'detail', d: 'M150 48q3 10 0 20M162 50q3 9 0 17M174 52q2 7 0 13' },
    { kind: 'eye', x: 52, y: 53, r: 6.4 },
  ],
  at: { back: [110, 41], flank: [140, 58], belly: [110, 80], tail: [222, 58] },
}

export const PADDLETAIL: Figure = {
  layers: [
    // A jig head ahead of a slim body; the tail is a boot.
    { kind: 'hook', d: 'M48 58C96 60 120 56 132 46C140 36 134 26 126 30' },
    {
      kind: 'body',
      d:
        'M40 60C48 48 76 42 106 44C144 46 176 54 200 58C208 52 218 48 228 50C236 56 234 70 226 80' +
        'C216 82 208 74 202 66C172 74 138 78 104 77C72 77 46 72 40 60Z',
      box: [40, 43, 234, 80],
      mid: 60,
    },
    { kind: 'shape', part: 'hook', d: 'M24 58C28 48 42 44 56 48C62 54 62 66 56 72C42 76 28 70 24 58Z' },
    { kind: 'ring', x: 40, y: 45, r: 2.8 },
    { kind: 'detail', d: 'M146 50q3 8 0 20M158 52q3 8 0 18M170 54q3 6 0 14M182 56q2 4 0 10' },
    { kind: 'eye', x: 38, y: 57, r: 4.4 },
  ],
  at: { back: [110, 48], flank: [140, 61], belly: [120, 75], tail: [222, 64] },
}
