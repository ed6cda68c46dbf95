<script setup lang="ts">
import { useSettingsStore } from '~/settings/store'
import { KEY_MAP } from '~/settings/useKeys'
import { GLOSSARY } from '~/words/glossary'

const settings = useSettingsStore()
</script>

<template>
  <div class="flex flex-col gap-5">
    <section>
      <h3 class="figure mb-1 text-value font-bold">Keys</h3>
      <label class="mb-2 flex min-h-11 items-center gap-2">
        <input v-model="settings.singleKeys" type="checkbox" class="size-6" />
        Single keys do something
      </label>
      <dl class="grid grid-cols-[auto_1fr] gap-x-4 gap-y-1">
        <template v-for="k in KEY_MAP" :key="k.keys">
          <dt class="figure font-bold whitespace-nowrap">{{ k.keys }}</dt>
          <dd>{{ k.does }}</dd>
        </template>
      </dl>
    </section>
    <section>
      <h3 class="figure mb-1 text-value font-bold">Words</h3>
      <dl>
        <template v-for="g in GLOSSARY" :key="g.word">
          <dt class="mt-2 font-bold">{{ g.word }}</dt>
          <dd>{{ g.means }}</dd>
        </template>
      </dl>
    </section>
  </div>
</template>
