<script setup lang="ts">
import { computed, ref } from 'vue'
import { PASSWORD_LENGTH } from '#shared/accountLimits'
import { useRecovery } from '~/kept/useRecovery'
import { useYoursStore } from './store'

/** Ways in for a device that has none: a passkey first, a name and a password, a code on paper. */
const yours = useYoursStore()
const recovery = useRecovery()
type Way = 'passkey' | 'password' | 'have'
const way = ref<Way | null>(null)
const name = ref('')
const password = ref('')
const code = ref('')
const words = ref('')
/** A passkey belongs to a name: where Piscator is opened by an address there is none. */
const byAddress = /^[\d.]+$|^\[/.test(location.hostname)
const hasPasskeys = !byAddress && 'PublicKeyCredential' in globalThis
const byName = computed(() => `${location.protocol}//localhost${location.port ? `:${location.port}` : ''}/yours`)
async function told(go: () => Promise<{ ok: boolean; words?: string }>) {
  words.value = ''
  const done = await go()
  if (!done.ok) words.value = done.words ?? ''
  else password.value = ''
}
const open = (what: Way) => {
  way.value = way.value === what ? null : what
  words.value = ''
}
async function byCode() {
  if (await recovery.use(code.value)) await yours.load()
}
</script>

<template>
  <div class="flex flex-col gap-2">
    <template v-if="hasPasskeys">
      <button type="button" class="action" :aria-expanded="way === 'passkey'" @click="open('passkey')">
        Make a passkey
      </button>
      <p class="text-ink2">Your face, finger or the device’s own code. Nothing to remember.</p>
    </template>
    <p v-else-if="byAddress" class="text-ink2">
      A passkey needs a name, not an address. A name and a password work here; for a passkey open
      <a class="underline" :href="byName">{{ byName }}</a>
    </p>
    <p v-else class="text-ink2">This browser has no passkeys. A name and a password do as well.</p>
    <form
      v-if="way === 'passkey'"
      class="flex flex-wrap items-end gap-2"
      @submit.prevent="told(() => yours.makePasskey(name.trim()))"
    >
      <label class="min-w-40 flex-1">
        <span class="block">A name your crew knows you by</span>
        <input v-model="name" autocomplete="username" required minlength="2" maxlength="40" class="field" />
      </label>
      <button type="submit" class="quiet" :disabled="yours.busy || name.trim().length < 2">Go on</button>
    </form>
    <div class="grid grid-cols-2 gap-2">
      <button type="button" class="quiet" :aria-expanded="way === 'password'" @click="open('password')">
        Name, password
      </button>
      <button type="button" class="quiet" :aria-expanded="way === 'have'" @click="open('have')">I have one</button>
    </div>
    <form
      v-if="way === 'password'"
      class="flex flex-col gap-2"
      @submit.prevent="told(() => yours.setPassword(name, password))"
    >
      <label>
        <span class="block">A name your crew knows you by</span>
        <input v-model="name" autocomplete="username" required minlength="2" maxlength="40" class="field" />
      </label>
      <label>
        <span class="block">A password of {{ PASSWORD_LENGTH.least }} characters or more; a few words do well</span>
        <input
          v-model="password"
          type="password"
          autocomplete="new-password"
          required
          :minlength="PASSWORD_LENGTH.least"
          :maxlength="PASSWORD_LENGTH.most"
          class="field"
        />
      </label>
      <button type="submit" class="quiet self-start" :disabled="yours.busy">Keep everything under this name</button>
    </form>
    <div v-if="way === 'have'" class="flex flex-col gap-3">
      <button
        v-if="hasPasskeys"
        type="button"
        class="quiet self-start"
        :disabled="yours.busy"
        @click="told(yours.signInByPasskey)"
      >
        Sign in with a passkey
      </button>
      <form class="flex flex-col gap-2" @submit.prevent="told(() => yours.signInByPassword(name, password))">
        <label>
          <span class="block">Name</span>
          <input v-model="name" autocomplete="username" required maxlength="40" class="field" />
        </label>
        <label>
          <span class="block">Password</span>
          <input v-model="password" type="password" autocomplete="current-password" required class="field" />
        </label>
        <button type="submit" class="quiet self-start" :disabled="yours.busy">Sign in with a password</button>
      </form>
      <form class="flex flex-col gap-2" @submit.prevent="byCode">
        <label>
          <span class="block">A code on paper</span>
          <input
            v-model="code"
            autocomplete="off"
            autocapitalize="characters"
            spellcheck="false"
            class="field figure"
          />
        </label>
        <button type="submit" class="quiet self-start" :disabled="recovery.busy.value || !code.trim()">
          Sign in with a code
        </button>
        <p v-if="recovery.words.value" role="alert" class="font-semibold">{{ recovery.words.value }}</p>
      </form>
      <p class="text-ink2">What is kept on this device joins it: nothing is lost, nothing doubled.</p>
    </div>
    <p v-if="words" role="alert" class="font-semibold">{{ words }}</p>
  </div>
</template>
