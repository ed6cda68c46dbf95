<script setup lang="ts">
import { ref } from 'vue'
import { type FileRead, readBox, toCsv, toJson } from '~/box/files'
import { useBoxStore } from '~/box/store'
import { download } from '~/settings/download'

/** The box out and in as a file. */
const box = useBoxStore()
const read = ref<FileRead | null>(null)
const name = ref('')
async function load(file: File | undefined) {
  if (!file) return
  name.value = file.name
  read.value = readBox(file.name, await file.text(), box.all)
  await box.change(read.value.writes)
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
        A line with an id is that lure, changed; one without is added once, however often the file comes in. Nothing is
        written where a line is wrong.
      </p>
      <label class="quiet mt-2 inline-flex cursor-pointer items-center has-focus-visible:outline-3">
        <input
          type="file"
          accept=".csv,.json,text/csv,application/json"
          class="off"
          @change="load(($event.target as HTMLInputElement).files?.[0])"
        />
        Choose a file
      </label>
      <div v-if="read" class="mt-3" role="status">
        <p v-if="!read.faults.length">
          <b>{{ name }}:</b>
          {{ read.added }} added, {{ read.changed }} changed, {{ read.same }} as they were.
        </p>
        <template v-else>
          <p>
            <b>{{ name }}</b>
            was not brought in. Mend these and choose it again:
          </p>
          <ul>
            <li v-for="(f, i) in read.faults" :key="i" class="border-t border-hair py-1">
              <b>Line {{ f.line }}{{ f.column ? `, ${f.column}` : '' }}.</b>
              {{ f.message }}
            </li>
          </ul>
        </template>
      </div>
    </section>
  </div>
</template>
