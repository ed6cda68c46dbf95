<script setup lang="ts">
import type { LureRecord } from '#shared/schema/record'
import { readBox, toCsv, toJson } from './files'
import { useBoxStore } from './store'
import FileIn from '~/common/FileIn.vue'
import { download } from '~/settings/download'

/** The box out and in as a file. */
const box = useBoxStore()
async function take(writes: { id: string; body: LureRecord }[]) {
  const before = writes.map(({ id }) => ({ id, body: box.all.find(l => l.id === id)?.body ?? null }))
  await box.change(writes)
  return () => box.change(before)
}
</script>

<template>
  <div class="grid gap-6 lg:grid-cols-2">
    <section>
      <h3 class="figure text-value font-bold">Save the box</h3>
      <p class="leading-snug">
        A table (CSV) opens in any spreadsheet: one lure a line. JSON holds the same. Either comes back in whole.
      </p>
      <p class="mt-2 flex gap-2">
        <button type="button" class="quiet" @click="download('box.csv', 'text/csv', toCsv(box.all))">
          Save as CSV
        </button>
        <button type="button" class="quiet" @click="download('box.json', 'application/json', toJson(box.all))">
          Save as JSON
        </button>
      </p>
    </section>
    <section>
      <h3 class="figure text-value font-bold">Bring a box in</h3>
      <p class="leading-snug">
        A line with an id is that lure, changed; one without is added once, however often the file comes in. A line that
        is wrong is named, and the rest waits for your word.
      </p>
      <FileIn
        accept=".csv,.json,text/csv,application/json"
        :read="(name, text) => readBox(name, text, box.all)"
        :take="take"
      />
    </section>
  </div>
</template>
