/** Words of the screen in the angler's own. */
export const GLOSSARY = [
  {
    word: 'Visibility, clarity',
    means:
      'How deep a white disc or lure can be lowered before you lose it, taken on the shaded side. Gin ' +
      'over 4 m (13 ft), clear 2–4 m, slightly stained 1–2 m, stained 0.5–1 m, dirty 0.25–0.5 m, mud ' +
      'less.',
  },
  {
    word: 'Tint',
    means:
      'The colour of the water, apart from how far you see in it. Algae and silt scatter light, ' +
      'tea-coloured tannin swallows it, and that decides whether white or black is seen farther.',
  },
  {
    word: 'Shape seen at',
    means: 'The distance at which a fish of this kind can first make anything out against what is behind the lure.',
  },
  {
    word: 'Colour reads to',
    means: 'The distance inside which colour as such can be told; beyond it only light and dark are left.',
  },
  {
    word: 'Look-alikes',
    means: 'Finishes this fish cannot tell apart where it is, joined by a bracket. Carry one of them.',
  },
  {
    word: 'Schools',
    means: 'Seven ways practised anglers choose colour. They quarrel; Balanced weighs them for the day and says how.',
  },
  {
    word: 'Custom, unexplained',
    means: 'Something many anglers do that the light in the water gives no reason for. It counts a little.',
  },
  {
    word: 'Three rods',
    means: 'A first choice, a switch that differs in kind, and an odd one for when both are refused.',
  },
  {
    word: 'Flash',
    means: 'Sunlight thrown by a metallic side. It needs sun, gains with chop, and dies with cloud, depth and silt.',
  },
  {
    word: 'Phase',
    means: 'Where the fish are in their year, from temperature, its trend, the date and the side of the equator.',
  },
] as const
