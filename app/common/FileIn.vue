<script setup lang="ts" generic="B">
import { ref, shallowRef } from 'vue'
import type { FileRead } from '~/files/table'

/**
 * Choose a file, see what it would add and change, take its records in, and take that back. What is wrong is named by
 * line and column. Nothing is written before the angler says so.
 */
const props = defineProps<{
  accept: string
  read: (name: string, text: string) => FileRead<B> | Promise<FileRead<B>>
  /** Writes the records; gives back what undoes it. */
  take: (writes: FileRead<B>['writes']) => Promise<() => Promise<void>>
}>()
/** Most that is read of a file, bytes: far more than a season of records. */
const MOST = 20_000_000
const found = ref<FileRead<B> | null>(null)
const name = ref('')
const taken = ref(false)
/** Takes back what was taken in last; null where nothing was, or it was taken back. */
const undo = shallowRef<(() => Promise<void>) | null>(null)
const undone = ref(false)
/** It was not written in UTF-8. */
const older = ref(false)
async function load(input: HTMLInputElement) {
  const file = input.files?.[0]
  if (!file) return
  name.value = file.name
  taken.value = undone.value = false
  undo.value = null
  const got = file.size > MOST ? tooLarge() : await props.read(file.name, textOf(await file.arrayBuffer()))
  found.value = got
  // The same file may be mended and chosen again.
  input.value = ''
}
/**
 * UTF-8, as Piscator writes it. Older spreadsheets write Windows' own letters: what is no UTF-8 is read as those, which
 * have a letter for every byte, and the angler is told.
 */
function textOf(bytes: ArrayBuffer): string {
  try {
    older.value = false
    return new TextDecoder('utf-8', { fatal: true }).decode(bytes)
  } catch {
    older.value = true
    return new TextDecoder('windows-1252').decode(bytes)
  }
}
const tooLarge = (): FileRead<B> => ({
  writes: [],
  added: 0,
  changed: 0,
  same: 0,
  faults: [{ line: 1, column: '', message: 'The file is larger than 20 MB. Bring it in by parts.' }],
})
async function takeThem() {
  undo.value = await props.take(found.value!.writes as FileRead<B>['writes'])
  taken.value = true
}
async function takeBack() {
  await undo.value!()
  undo.value = null
  undone.value = true
}
const leave = () => (found.value = null)
</script>

<template>
  <div>
    <label class="quiet mt-2 inline-flex cursor-pointer items-center has-focus-visible:outline-3">
      <input type="file" :accept="accept" class="off" @change="load($event.target as HTMLInputElement)" />
      Choose a file
    </label>
    <div v-if="found" class="mt-3" role="status">
      <p v-if="older">
        The file is not in UTF-8 and was read by Western European letters: look whether accents came out right.
      </p>
      <p v-if="undone">
        <b>{{ name }}:</b>
        taken back. Everything is as it was before.
      </p>
      <p v-else-if="taken || !found.writes.length">
        <b>{{ name }}:</b>
        {{ found.added }} added, {{ found.changed }} changed, {{ found.same }} as they were.
      </p>
      <p v-else>
        <b>{{ name }}:</b>
        {{ found.added }} to add, {{ found.changed }} to change, {{ found.same }} as they are. Nothing is written yet.
      </p>
      <template v-if="found.faults.length">
        <p>{{ taken ? 'Left out:' : 'What is wrong; mend it and choose the file again, or do without:' }}</p>
        <ul class="max-h-60 overflow-y-auto" tabindex="0" aria-label="What is wrong in the file">
          <li v-for="(f, i) in found.faults" :key="i" class="border-t border-hair py-1">
            <b>Line {{ f.line }}{{ f.column ? `, ${f.column}` : '' }}.</b>
            {{ f.message }}
          </li>
        </ul>
      </template>
      <p v-if="!taken && found.writes.length" class="mt-2 flex flex-wrap gap-2">
        <button type="button" class="quiet" @click="takeThem">
          {{ found.faults.length ? `Take the ${found.writes.length} that are right` : `Take them in` }}
        </button>
        <button type="button" class="quiet" @click="leave">Leave it</button>
      </p>
      <button v-if="undo" type="button" class="quiet mt-2" @click="takeBack">Undo</button>
    </div>
  </div>
</template>
