<script setup lang="ts" generic="B">
import { ref } from 'vue'
import type { FileRead } from '~/files/table'

/**
 * Choose a file and take its records in. What is wrong is named by line and column; where something is, nothing is
 * written until the angler takes the right ones without it.
 */
const props = defineProps<{
  accept: string
  read: (name: string, text: string) => FileRead<B> | Promise<FileRead<B>>
  take: (writes: FileRead<B>['writes']) => Promise<void>
}>()
/** Most that is read of a file, bytes: far more than a season of records. */
const MOST = 20_000_000
const found = ref<FileRead<B> | null>(null)
const name = ref('')
const taken = ref(false)
/** It was not written in UTF-8. */
const older = ref(false)
async function load(input: HTMLInputElement) {
  const file = input.files?.[0]
  if (!file) return
  name.value = file.name
  taken.value = false
  const got = file.size > MOST ? tooLarge() : await props.read(file.name, textOf(await file.arrayBuffer()))
  found.value = got
  // The same file may be mended and chosen again.
  input.value = ''
  if (!got.faults.length) await takeThem()
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
  await props.take(found.value!.writes as FileRead<B>['writes'])
  taken.value = true
}
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
      <p v-if="taken">
        <b>{{ name }}:</b>
        {{ found.added }} added, {{ found.changed }} changed, {{ found.same }} as they were.
      </p>
      <template v-if="found.faults.length">
        <p v-if="!taken">
          <b>{{ name }}</b>
          was not brought in yet. Mend these and choose it again{{ found.writes.length ? ', or take the rest' : '' }}:
        </p>
        <p v-else>Left out:</p>
        <ul class="max-h-60 overflow-y-auto" tabindex="0" aria-label="What is wrong in the file">
          <li v-for="(f, i) in found.faults" :key="i" class="border-t border-hair py-1">
            <b>Line {{ f.line }}{{ f.column ? `, ${f.column}` : '' }}.</b>
            {{ f.message }}
          </li>
        </ul>
        <button v-if="!taken && found.writes.length" type="button" class="quiet mt-2" @click="takeThem">
          Take the {{ found.writes.length }} that are right
        </button>
      </template>
    </div>
  </div>
</template>
