import type { Database } from '#server/db/connection'

/** The invented basin of the demonstration: five waters that do not exist, one of each kind. */
const WATERS = [
  {
    id: '018f0000-0000-4000-8000-000000000001',
    name: 'Harrow Reservoir',
    kind: 'upland reservoir',
    latitude: 35.21,
    longitude: -84.62,
    salinity: 'fresh',
    usualTint: 'blue-clear',
    usualVisibilityM: 4.5,
    prey: ['shad', 'herring', 'crawfish', 'sunfish', 'shiner'],
    note: 'Clear and deep; herring over the old channel.',
  },
  {
    id: '018f0000-0000-4000-8000-000000000002',
    name: 'Tallow Pond',
    kind: 'farm pond',
    latitude: 34.87,
    longitude: -84.3,
    salinity: 'fresh',
    usualTint: 'green',
    usualVisibilityM: 1.1,
    prey: ['sunfish', 'frog', 'fry', 'golden-shiner', 'crawfish', 'insect'],
    note: 'Green from May on; no shad in it.',
  },
  {
    id: '018f0000-0000-4000-8000-000000000003',
    name: 'Umber Creek',
    kind: 'tannin creek',
    latitude: 33.95,
    longitude: -83.41,
    salinity: 'fresh',
    usualTint: 'tea',
    usualVisibilityM: 0.9,
    prey: ['golden-shiner', 'sunfish', 'crawfish', 'shiner'],
    note: 'Tea-coloured all year; roots and cut banks.',
  },
  {
    id: '018f0000-0000-4000-8000-000000000004',
    name: 'Slough Bend',
    kind: 'oxbow',
    latitude: 33.4,
    longitude: -82.9,
    salinity: 'fresh',
    usualTint: 'brown',
    usualVisibilityM: 0.35,
    prey: ['shad', 'sunfish', 'crawfish', 'frog'],
    note: 'Silt after every rain.',
  },
  {
    id: '018f0000-0000-4000-8000-000000000005',
    name: 'Merrow Sound',
    kind: 'estuary sound',
    latitude: 32.1,
    longitude: -81.2,
    salinity: 'salt',
    usualTint: 'green',
    usualVisibilityM: 1.4,
    prey: ['mullet', 'menhaden', 'shrimp', 'pinfish', 'pilchard', 'crab'],
    note: 'Flats and a dock line; tide decides.',
  },
]

/** Put the basin's waters in place; run again, it changes nothing. */
export async function seedBasin({ Water }: Database): Promise<void> {
  await Water.bulkCreate(
    WATERS.map(w => ({ ...w })),
    {
      updateOnDuplicate: [
        'name',
        'kind',
        'latitude',
        'longitude',
        'salinity',
        'usualTint',
        'usualVisibilityM',
        'prey',
        'note',
      ],
    },
  )
}
