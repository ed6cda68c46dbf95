<script setup lang="ts">
import { computed, ref } from 'vue'
import { download } from '~/settings/download'
import { useReadingStore } from '~/reading/store'
import { useRecordsStore } from '~/records/store'
import { firstWater } from '~/waters/first'
import { type WaterEntry, readFile, readingsCsv, spotsCsv, toGeoJson, watersCsv } from '~/waters/files'
import { useWatersStore } from '~/waters/store'
import Choice from '~/common/Choice.vue'
import FileIn from '~/common/FileIn.vue'

/** Waters, spots and readings out and in as files. */
const props = defineProps<{
  /** The water whose spots waypoints may become. */ waterId: string | null
}>()
const waters = useWatersStore()
const reading = useReadingStore()
const records = useRecordsStore()
const known = computed(() => ({ waters: waters.own, spots: waters.spots, readings: records.list('reading') }))
const into = ref<string>(props.waterId ?? 'waters')
const becoming = computed(() => [
  { value: 'waters', words: 'Waters of their own' },
  ...waters.own.filter(w => !w.body.archived).map(w => ({ value: w.id, words: `Spots of ${w.body.name}` })),
])
async function read(name: string, text: string) {
  const { default: zoneAt } = await import('tz-lookup')
  const { name: _n, latitude: _a, longitude: _o, zone: _z, note: _t, ...like } = firstWater(reading.reading)
  const as =
    into.value === 'waters' ? ({ kind: 'water', like } as const) : ({ kind: 'spot', waterId: into.value } as const)
  return readFile(name, text, known.value, as, zoneAt)
}
const take = (writes: { id: string; body: WaterEntry }[]) =>
  records.writeUndoably(writes.map(({ id, body }) => ({ id, ...body })))
const TABLES = [
  { words: 'Waters as CSV', name: 'waters.csv', of: watersCsv },
  { words: 'Spots as CSV', name: 'spots.csv', of: spotsCsv },
  { words: 'Readings as CSV', name: 'readings.csv', of: readingsCsv },
]
</script>

<template>
  <div>
    <h3 class="figure text-value font-bold">Save them</h3>
    <p class="leading-snug">
      Tables open in any spreadsheet; GeoJSON holds everything at once and opens in any map. Your spots are in both:
      mind whom you give them to.
    </p>
    <p class="mt-2 flex flex-wrap gap-2">
      <button
        v-for="t in TABLES"
        :key="t.name"
        type="button"
        class="quiet"
        @click="download(t.name, 'text/csv', t.of(known))"
      >
        {{ t.words }}
      </button>
      <button type="button" class="quiet" @click="download('waters.geojson', 'application/geo+json', toGeoJson(known))">
        All as GeoJSON
      </button>
    </p>
    <h3 class="figure mt-5 text-value font-bold">Bring them in</h3>
    <p class="leading-snug">
      What was saved here, or waypoints of a plotter as GPX or GeoJSON. However often a file comes in, nothing is
      doubled.
    </p>
    <div class="mt-2 flex flex-wrap items-center gap-3">
      Waypoints become
      <Choice class="min-w-56" label="Waypoints become" :value="into" :options="becoming" @change="v => (into = v)" />
    </div>
    <FileIn accept=".csv,.json,.geojson,.gpx,text/csv,application/geo+json" :read="read" :take="take" />
  </div>
</template>
