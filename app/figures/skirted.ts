import type { Figure } from './types'

const SPLIT_TAIL =
  'M118 58C148 52 174 54 192 61C204 53 220 47 230 45C226 55 218 63 208 67C218 73 226 81 228 91' +
  'C214 87 200 79 192 71C174 77 142 77 118 72Z'
const CRAW =
  'M112 68C138 62 156 62 168 66C174 54 188 44 204 44C220 44 228 54 224 64C218 60 210 60 204 64' +
  'C212 66 216 70 214 74C204 74 188 74 176 74C186 78 196 86 198 96C186 100 170 92 164 80' +
  'C148 82 130 80 112 76Z'

/** Skirted lures: the head leads, strands trail. */
export const SPINNERBAIT: Figure = {
  layers: [
    { kind: 'hook', d: 'M84 82C120 84 158 86 190 84C204 83 206 68 194 66C189 65.5 186 68 186 70' },
    { kind: 'shape', part: 'trailer', d: 'M128 80C158 74 190 74 214 66C210 78 214 88 218 98C192 92 156 92 128 88Z' },
    { kind: 'strands', part: 'skirt', x: 92, y: 82, len: 96, spread: 44, n: 30, droop: 3, root: 10, seed: 21 },
    { kind: 'wire', d: 'M70 78C58 70 47 60 42 52C38 46 44 41 50 44C76 36 116 26 150 22' },
    { kind: 'ring', x: 154, y: 22, r: 3 },
    { kind: 'shape', part: 'blade', d: 'M158 24C172 10 206 14 226 34C204 42 172 40 158 24Z' },
    { kind: 'shape', part: 'blade', d: 'M106 32C112 24 130 27 138 42C126 48 108 44 106 32Z' },
    {
      kind: 'shape',
      part: 'head',
      d: 'M60 74C66 66 84 68 96 74C98 80 97 86 94 90C82 96 66 92 61 84C59 80 59 77 60 74Z',
    },
    { kind: 'eye', x: 73, y: 79, r: 4.6 },
  ],
  at: { skirt: [150, 82], blade: [196, 28], head: [84, 84], trailer: [204, 82] },
}

export const BLADED_JIG: Figure = {
  layers: [
    { kind: 'shape', part: 'trailer', d: SPLIT_TAIL },
    { kind: 'hook', d: 'M92 66C124 68 152 66 172 60C186 56 186 40 174 39C168 38.6 165 42 166 45' },
    { kind: 'strands', part: 'skirt', x: 90, y: 66, len: 92, spread: 50, n: 30, droop: 4, root: 12, seed: 42 },
    { kind: 'shape', part: 'head', d: 'M64 64C66 54 82 52 96 58C100 62 100 72 96 76C82 82 66 76 64 64Z' },
    // The hexagon that makes it wobble, hung before the head.
    {
      kind: 'shape',
      part: 'blade',
      d: 'M66 60L56 34C54 29 48 27 43 29L28 36C24 38 23 42 25 46L44 82C46 86 51 87 55 85L62 81C66 79 68 74 67 70Z',
    },
    { kind: 'ring', x: 38, y: 45, r: 2.4 },
    { kind: 'eye', x: 80, y: 63, r: 4.6 },
  ],
  at: { skirt: [140, 62], blade: [44, 56], head: [88, 70], trailer: [206, 66] },
}

export const SWIM_JIG: Figure = {
  layers: [
    // A pointed head and a swimming trailer: slim from end to end.
    {
      kind: 'shape',
      part: 'trailer',
      d:
        'M116 60C146 54 174 56 196 62C206 54 218 50 228 52C234 60 232 74 222 82C212 82 206 74 200 68' +
        'C174 74 144 76 116 72Z',
    },
    { kind: 'hook', d: 'M84 66C116 68 146 66 166 56C178 48 176 32 164 34C159 35 158 38 160 41' },
    { kind: 'strands', part: 'skirt', x: 86, y: 66, len: 84, spread: 34, n: 28, droop: 2, root: 11, seed: 51 },
    { kind: 'detail', d: 'M74 58C88 46 100 40 118 36M76 56C90 42 104 36 122 31' },
    { kind: 'shape', part: 'head', d: 'M34 64C46 56 66 52 88 56C95 62 95 72 88 77C66 80 46 74 34 64Z' },
    { kind: 'ring', x: 44, y: 57, r: 2.8 },
    { kind: 'eye', x: 62, y: 63, r: 4.6 },
  ],
  at: { skirt: [134, 64], head: [66, 72], trailer: [212, 66] },
}

export const CASTING_JIG: Figure = {
  layers: [
    // A round, heavy head, a brush guard, and claws behind.
    { kind: 'shape', part: 'trailer', d: CRAW },
    { kind: 'detail', d: 'M126 67q2 6 0 12M134 66q2 6 0 13M142 66q2 6 0 13' },
    { kind: 'hook', d: 'M84 70C114 70 136 66 152 58C166 50 162 34 150 35C145 35.5 143 39 145 42' },
    { kind: 'strands', part: 'skirt', x: 84, y: 70, len: 84, spread: 60, n: 34, droop: 8, root: 16, seed: 63 },
    { kind: 'detail', d: 'M70 58C80 44 92 36 108 30M72 58C84 42 98 34 114 30M74 58C88 44 102 36 118 33' },
    {
      kind: 'shape',
      part: 'head',
      d: 'M38 74C38 58 54 52 72 54C88 56 94 66 93 76C90 88 76 92 62 91C48 90 38 84 38 74Z',
    },
    { kind: 'ring', x: 58, y: 51, r: 3 },
    { kind: 'eye', x: 54, y: 71, r: 4.6 },
  ],
  at: { skirt: [128, 74], head: [64, 84], trailer: [200, 58] },
}

export const BUZZBAIT: Figure = {
  layers: [
    { kind: 'hook', d: 'M84 84C120 86 158 88 190 86C204 85 206 70 194 68C189 67.5 186 70 186 72' },
    { kind: 'strands', part: 'skirt', x: 90, y: 84, len: 92, spread: 40, n: 28, droop: 3, root: 10, seed: 33 },
    { kind: 'shape', part: 'trailer', d: 'M132 84C158 80 180 80 200 78C194 86 196 92 200 98C178 94 156 94 132 92Z' },
    { kind: 'wire', d: 'M66 82L40 62C36 58 40 50 46 50C90 46 120 34 176 24' },
    // Two cupped wings on one shaft.
    { kind: 'shape', part: 'blade', d: 'M112 40C116 20 140 6 160 10C158 20 160 28 166 34Z' },
    { kind: 'shape', part: 'blade', d: 'M112 40C120 54 142 60 164 52C160 44 162 38 166 34Z' },
    {
      kind: 'shape',
      part: 'head',
      d: 'M56 78C62 70 80 72 94 78C97 84 96 90 92 94C80 99 62 96 57 88C55 84 55 81 56 78Z',
    },
    { kind: 'eye', x: 70, y: 83, r: 4.4 },
  ],
  at: { skirt: [146, 86], blade: [142, 26], head: [80, 90], trailer: [190, 86] },
}
