import type { Figure } from './types'

const OFFSET_HOOK = 'M30 54C24 44 32 40 36 46C40 54 46 58 48 64C52 86 74 96 94 90C106 86 108 74 102 66'

/** Soft plastics, frogs, spoons and small jigs. */
export const STICK_WORM: Figure = {
  layers: [
    {
      kind: 'body',
      d:
        'M26 58C34 48 60 47 100 54C140 61 172 64 206 58C216 56 226 50 230 52C232 56 224 64 212 68' +
        'C176 78 138 76 98 68C62 62 34 70 26 58Z',
      box: [26, 47, 231, 77],
      mid: 62,
      rings: true,
    },
    { kind: 'hook', d: OFFSET_HOOK },
  ],
  at: { flank: [120, 64], tail: [212, 62] },
}
export const WORM: Figure = {
  layers: [
    // A thin body ending in a wide ribbon that curls back on itself.
    {
      kind: 'body',
      d:
        'M24 50C34 42 60 44 90 52C118 59 140 62 160 58C176 54 184 40 198 34C216 28 234 38 234 54' +
        'C234 72 218 86 200 86C210 78 218 68 214 58C208 50 196 56 190 64C182 74 168 74 152 72' +
        'C124 70 106 66 84 62C58 58 34 60 24 50Z',
      box: [24, 32, 234, 86],
      mid: 58,
      rings: true,
    },
    { kind: 'hook', d: 'M28 46C22 36 30 32 34 38C38 46 44 50 46 56C50 78 70 88 88 82C100 78 100 66 94 58' },
  ],
  at: { flank: [110, 59], tail: [218, 48] },
}
export const CRAW: Figure = {
  layers: [
    { kind: 'strands', part: 'flank', x: 62, y: 58, len: -52, spread: 44, n: 5, droop: -6, root: 10, seed: 17 },
    {
      kind: 'shape',
      part: 'tail',
      d:
        'M150 50C160 34 182 20 206 22C226 24 234 36 228 48C218 44 206 46 200 52C212 50 220 54 222 62' +
        'C204 60 186 60 166 60Z',
    },
    {
      kind: 'shape',
      part: 'tail',
      d: 'M148 66C158 82 176 96 200 98C220 98 232 88 228 76C218 78 206 74 202 68C188 66 168 64 152 62Z',
    },
    {
      kind: 'body',
      d: 'M40 58C44 46 62 42 82 44C112 46 138 50 158 56C162 60 162 62 156 66C134 72 108 76 80 76C60 76 42 70 40 58Z',
      box: [40, 42, 160, 77],
      mid: 60,
      rings: true,
    },
    { kind: 'detail', d: 'M52 68q-4 10 -10 16M70 74q-2 10 -8 16M88 75q0 10 -4 16M106 74q2 10 0 15' },
    { kind: 'hook', d: 'M42 54C34 46 40 38 46 44C50 52 54 56 58 64C62 86 80 94 98 90C108 86 110 78 106 70' },
  ],
  at: { flank: [104, 58], tail: [210, 38] },
}
export const TUBE: Figure = {
  layers: [
    { kind: 'strands', part: 'tail', x: 142, y: 60, len: 84, spread: 40, n: 16, droop: 3, root: 24, seed: 71 },
    {
      kind: 'body',
      d: 'M24 58C26 46 40 42 60 42C94 42 126 45 150 47C153 54 153 66 150 73C126 76 94 79 60 78C40 78 26 72 24 58Z',
      box: [24, 42, 152, 79],
      mid: 60,
    },
    { kind: 'ring', x: 60, y: 40, r: 2.8 },
    { kind: 'hook', d: 'M60 44C64 64 88 80 116 84C136 84 142 70 132 62' },
  ],
  at: { flank: [90, 58], tail: [194, 62] },
}
export const GRUB: Figure = {
  layers: [
    { kind: 'hook', d: 'M50 58C90 60 112 54 122 44C130 34 124 24 116 28' },
    {
      kind: 'shape',
      part: 'tail',
      d:
        'M138 56C160 52 176 44 186 34C200 22 222 26 230 42C238 60 226 82 206 86C192 88 184 80 186 70' +
        'C196 74 208 70 210 60C210 48 196 46 186 56C176 66 158 68 138 68Z',
    },
    {
      kind: 'body',
      d: 'M46 60C52 50 72 46 96 48C118 50 138 54 150 58C154 62 152 65 146 67C126 73 98 76 76 74C60 73 48 69 46 60Z',
      box: [46, 46, 152, 76],
      mid: 60,
      rings: true,
    },
    { kind: 'shape', part: 'hook', d: 'M26 58C28 48 40 44 54 48C60 54 60 66 54 70C40 74 28 68 26 58Z' },
    { kind: 'ring', x: 40, y: 44, r: 2.8 },
    { kind: 'eye', x: 39, y: 57, r: 4 },
  ],
  at: { flank: [106, 60], tail: [222, 46] },
}
export const FROG: Figure = {
  layers: [
    { kind: 'strands', part: 'skirt', x: 146, y: 64, len: 78, spread: 40, n: 18, droop: 4, root: 12, seed: 5 },
    { kind: 'strands', part: 'skirt', x: 140, y: 74, len: 62, spread: 26, n: 11, droop: 14, root: 8, seed: 15 },
    { kind: 'hook', d: 'M96 82C128 88 158 80 166 62C170 50 158 42 148 46L152 51' },
    { kind: 'ring', x: 25, y: 64, r: 2.8 },
    {
      kind: 'body',
      d: 'M28 64C38 46 62 34 92 35C120 36 140 46 150 60C146 76 124 88 92 88C60 88 38 80 28 64Z',
      box: [28, 34, 150, 89],
      mid: 62,
    },
    { kind: 'shape', part: 'back', d: 'M50 45C52 33 66 31 71 40Z' },
    { kind: 'detail', d: 'M30 66C42 70 58 70 70 66' },
    { kind: 'eye', x: 60, y: 44, r: 6 },
  ],
  at: { back: [104, 40], belly: [92, 82], skirt: [196, 70] },
}
export const POPPING_FROG: Figure = {
  layers: [
    { kind: 'strands', part: 'skirt', x: 150, y: 64, len: 74, spread: 38, n: 18, droop: 4, root: 12, seed: 6 },
    { kind: 'strands', part: 'skirt', x: 144, y: 74, len: 58, spread: 24, n: 11, droop: 14, root: 8, seed: 16 },
    { kind: 'hook', d: 'M100 82C132 88 162 80 170 62C174 50 162 42 152 46L156 51' },
    // A cupped mouth instead of a pointed nose.
    {
      kind: 'body',
      d: 'M30 42C42 36 70 34 98 35C126 36 146 46 154 60C150 76 128 88 96 88C68 88 48 84 38 80C46 68 44 54 30 42Z',
      box: [30, 34, 154, 89],
      mid: 62,
    },
    { kind: 'detail', d: 'M30 42C42 52 48 68 38 80' },
    { kind: 'ring', x: 38, y: 62, r: 2.8 },
    { kind: 'shape', part: 'back', d: 'M58 45C60 33 74 31 79 40Z' },
    { kind: 'eye', x: 68, y: 44, r: 6 },
  ],
  at: { back: [110, 40], belly: [96, 82], skirt: [198, 70] },
}
export const JIGGING_SPOON: Figure = {
  layers: [
    { kind: 'ring', x: 22, y: 60, r: 4 },
    { kind: 'strands', part: 'trailer', x: 202, y: 62, len: 30, spread: 24, n: 9, droop: 4, root: 4, seed: 8 },
    { kind: 'treble', x: 204, y: 62, s: 1.05, rot: -62 },
    // A straight slab that falls fast.
    { kind: 'shape', part: 'blade', d: 'M28 60L58 44L176 40L204 60L178 76L62 78Z' },
    { kind: 'shape', part: 'back', d: 'M34 57L58 44L176 40L198 56L172 50L64 53Z' },
    { kind: 'detail', d: 'M64 66L174 63' },
  ],
  at: { blade: [110, 64], back: [130, 47], trailer: [224, 66] },
}
export const INSHORE_SPOON: Figure = {
  layers: [
    { kind: 'ring', x: 27, y: 61, r: 4 },
    { kind: 'strands', part: 'trailer', x: 202, y: 62, len: 30, spread: 22, n: 9, droop: 2, root: 4, seed: 18 },
    {
      kind: 'shape',
      part: 'blade',
      d: 'M32 60C50 48 84 40 124 37C166 35 204 44 208 62C204 82 164 88 122 82C84 77 50 72 32 60Z',
    },
    { kind: 'shape', part: 'back', d: 'M34 58C60 40 120 30 170 38C194 42 206 50 208 60C180 48 90 46 34 58Z' },
    // One fixed hook under a wire guard.
    { kind: 'hook', d: 'M96 70C140 76 186 80 208 72C222 64 218 48 206 48' },
    { kind: 'wire', d: 'M70 60C120 50 170 44 204 50' },
  ],
  at: { blade: [120, 66], back: [130, 42], trailer: [222, 66] },
}
export const CRAPPIE_JIG: Figure = {
  layers: [
    { kind: 'hook', d: 'M78 56C110 58 128 52 136 42C142 32 136 24 128 28' },
    { kind: 'strands', part: 'tail', x: 146, y: 62, len: 72, spread: 22, n: 10, droop: 4, root: 8, seed: 91 },
    {
      kind: 'body',
      d: 'M70 60C78 52 98 50 118 52C136 54 148 58 154 62C150 68 136 72 118 73C98 74 78 70 70 60Z',
      box: [70, 50, 154, 74],
      mid: 62,
      rings: true,
    },
    {
      kind: 'shape',
      part: 'head',
      d: 'M42 60C42 50 52 44 62 45C72 46 79 53 79 61C79 69 71 76 61 75C51 75 42 69 42 60Z',
    },
    { kind: 'ring', x: 60, y: 42, r: 2.8 },
    { kind: 'eye', x: 57, y: 58, r: 4.8 },
  ],
  at: { head: [66, 68], flank: [112, 62], tail: [190, 66] },
}
