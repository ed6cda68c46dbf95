<script setup lang="ts">
import { computed, ref } from 'vue'
import { PASSWORD_LENGTH } from '#shared/accountLimits'
import { useRecovery } from '~/kept/useRecovery'
import { useRecordsStore } from '~/records/store'
import DeviceDrawing from './DeviceDrawing.vue'
import SignIn from './SignIn.vue'
import { deviceName, seenWords, thisDevice } from './deviceWords'
import { useHeld } from './useHeld'
import { useYoursStore } from './store'

/** Who this is: the name, the devices signed in, ways in; of a device of nobody's what is on it, and how to keep it. */
const yours = useYoursStore()
const records = useRecordsStore()
const recovery = useRecovery()
const held = useHeld()
const nowMs = Date.now()
const account = computed(() => yours.account)
const open = ref<string | null>(null)
const more = ref(false)
const words = ref('')
const newName = ref('')
const password = ref('')
const current = ref('')
const name = ref('')
const chosen = computed(() => account.value?.devices.find(d => d.id === open.value) ?? null)
const by = computed(() => {
  if (!account.value) return ''
  return account.value.passkeys.length ? 'signed in with a passkey' : 'signed in'
})
const unsent = computed(() => (records.unsent ? `${records.unsent} not sent yet` : ''))
const leaving = ref(false)
function choose(id: string) {
  open.value = open.value === id ? null : id
  newName.value = chosen.value?.name ?? ''
}
async function told(go: () => Promise<{ ok: boolean; words?: string }>, done = '') {
  const answer = await go()
  words.value = answer.ok ? done : (answer.words ?? '')
  return answer.ok
}
async function signOut() {
  await records.sync()
  // What is not sent would be lost with this device's copy.
  if (records.unsent && !leaving.value) {
    leaving.value = true
    return
  }
  await told(yours.signOutHere)
}
async function letGo() {
  if (chosen.value?.here) return signOut()
  if (await told(() => yours.signOutThere(open.value!))) open.value = null
}
async function changePassword() {
  if (await told(() => yours.setPassword('', password.value, current.value), 'The password is changed.')) {
    password.value = current.value = ''
  }
}
</script>

<template>
  <section v-if="account && yours.isAccount" aria-labelledby="yours-who">
    <header class="flex items-baseline justify-between border-b-2 border-ink pb-1">
      <h2 id="yours-who" class="figure text-title font-bold">{{ account.name ?? 'Your account' }}</h2>
      <span class="text-ink2">{{ by }}</span>
    </header>
    <ul class="grid grid-cols-3 gap-2 border-b border-hair py-4">
      <li v-for="d in account.devices" :key="d.id">
        <button
          type="button"
          class="w-full p-1 text-left leading-snug"
          :class="open === d.id ? 'outline-2' : ''"
          :aria-expanded="open === d.id"
          @click="choose(d.id)"
        >
          <DeviceDrawing :kind="d.kind" />
          <span class="block pt-2 font-bold">{{ deviceName(d) }}</span>
          <span class="block text-ink2">{{ seenWords(d, nowMs) }}</span>
          <span v-if="d.here && unsent" class="block text-ink2">{{ unsent }}</span>
        </button>
      </li>
    </ul>
    <form
      v-if="chosen"
      class="flex flex-wrap items-end gap-2 border-b border-hair py-3"
      @submit.prevent="told(() => yours.nameDevice(chosen!.id, newName))"
    >
      <label class="min-w-36 flex-1">
        <span class="block">What it is called</span>
        <input v-model="newName" maxlength="40" class="field" autocomplete="off" />
      </label>
      <button type="submit" class="quiet" :disabled="yours.busy">Name it</button>
      <button type="button" class="quiet" :disabled="yours.busy" @click="letGo">
        {{ chosen.here ? 'Sign out here' : 'Let it go' }}
      </button>
    </form>
    <div class="grid grid-cols-2 gap-2 pt-3">
      <button type="button" class="quiet" :aria-expanded="more" @click="more = !more">Add a device</button>
      <button type="button" class="quiet" :disabled="yours.busy" @click="signOut">Sign out here</button>
    </div>
    <div v-if="leaving" role="alertdialog" aria-label="Sign out here" class="banner mt-3 p-3">
      <p>
        <b>{{ records.unsent }} not sent yet.</b>
        Signed out now, they are lost. Wait for a signal, or save the file first.
      </p>
      <p class="mt-2 flex flex-wrap gap-2">
        <button type="button" class="quiet" @click="leaving = false">Stay signed in</button>
        <button type="button" class="quiet" @click="signOut">Sign out all the same</button>
      </p>
    </div>
    <div v-if="more" class="mt-3 border-t border-hair pt-3">
      <p>
        On the other device open Yours and tap
        <b>I have one:</b>
        a passkey of yours, your name and password, or a code on paper.
      </p>
    </div>
    <details class="mt-3">
      <summary class="min-h-11 cursor-pointer py-2 underline">Other ways in, name and password</summary>
      <ul>
        <li
          v-for="p in account.passkeys"
          :key="p.id"
          class="flex items-center justify-between border-t border-hair py-1"
        >
          <span>
            A passkey made on {{ p.name || 'a device' }},
            {{ new Date(p.createdAt).toLocaleDateString('en-GB', { day: 'numeric', month: 'long' }) }}
          </span>
          <button type="button" class="quiet" :disabled="yours.busy" @click="told(() => yours.removePasskey(p.id))">
            Take it away
          </button>
        </li>
      </ul>
      <p class="py-2">
        <button
          type="button"
          class="quiet"
          :disabled="yours.busy"
          @click="told(() => yours.makePasskey(account!.name ?? name))"
        >
          Another passkey
        </button>
      </p>
      <form class="flex flex-col gap-2 border-t border-hair py-3" @submit.prevent="changePassword">
        <input
          type="text"
          autocomplete="username"
          class="off"
          :value="account.name ?? ''"
          tabindex="-1"
          aria-hidden="true"
        />
        <label v-if="account.password">
          <span class="block">The password so far</span>
          <input v-model="current" type="password" autocomplete="current-password" required class="field" />
        </label>
        <label>
          <span class="block">A new password, {{ PASSWORD_LENGTH.least }} characters or more</span>
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
        <p class="flex flex-wrap gap-2">
          <button type="submit" class="quiet" :disabled="yours.busy">
            {{ account.password ? 'Change the password' : 'Set a password' }}
          </button>
          <button
            v-if="account.password"
            type="button"
            class="quiet"
            :disabled="yours.busy"
            @click="told(yours.removePassword)"
          >
            Do without one
          </button>
        </p>
      </form>
      <form
        class="flex flex-wrap items-end gap-2 border-t border-hair py-3"
        @submit.prevent="told(() => yours.rename(name), 'The name is changed.')"
      >
        <label class="min-w-36 flex-1">
          <span class="block">Another name</span>
          <input v-model="name" minlength="2" maxlength="40" required class="field" autocomplete="off" />
        </label>
        <button type="submit" class="quiet" :disabled="yours.busy">Change it</button>
      </form>
      <div class="border-t border-hair py-3">
        <p v-if="recovery.code.value" class="figure text-lead font-bold select-all" data-testid="paper-code">
          {{ recovery.code.value }}
        </p>
        <button type="button" class="quiet" :disabled="recovery.busy.value" @click="recovery.make">
          {{ account.code || recovery.code.value ? 'A new code on paper; the one before is void' : 'A code on paper' }}
        </button>
        <p class="text-ink2">Written down and kept dry, it signs any device in. Whoever has it has your records.</p>
      </div>
    </details>
    <p v-if="words" role="status" class="mt-2 font-semibold">{{ words }}</p>
    <p class="mt-2 text-ink2">
      Lost one? Tap it and
      <b>let it go:</b>
      it is signed out at once, and what it holds stays with you.
    </p>
  </section>
  <section v-else aria-labelledby="yours-who">
    <div class="flex items-start gap-4 pb-4">
      <DeviceDrawing class="shrink-0" :kind="account?.devices.find(d => d.here)?.kind ?? 'computer'" />
      <div>
        <h2 id="yours-who" class="figure text-title font-bold">
          {{ records.signedOut ? 'Signed out' : `Kept on ${thisDevice(account?.devices)} only` }}
        </h2>
        <p v-if="records.signedOut" class="text-lead">{{ records.words }}</p>
        <p v-else class="text-lead">{{ held.words }}. Lose the device and they are gone.</p>
      </div>
    </div>
    <SignIn />
    <p v-if="records.signedOut" class="mt-3">
      <button type="button" class="quiet" @click="records.forget().then(() => records.sync())">
        Drop what is {{ records.owner?.name ?? 'theirs' }}’s here
      </button>
    </p>
  </section>
</template>
