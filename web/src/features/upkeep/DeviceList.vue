<script setup lang="ts">
import { ref } from 'vue'
import { VSelect } from 'vuetify/components/VSelect'

import { type Device, type Role, useDevices } from '@/features/upkeep/useDevices'
import BusyButton from '@/shared/controls/BusyButton.vue'
import CodePicture from '@/shared/controls/CodePicture.vue'

/** The tablets that may work here: let in by a code, named, let go. */
const { told, left, busy, problem, letIn, change, letGo } = useDevices()
const ROLES: { code: Role; name: string; does: string }[] = [
  { code: 'fitter', name: 'fitter', does: 'records and changes' },
  { code: 'onlooker', name: 'onlooker', does: 'looks, and changes nothing' },
]
const role = ref<Role>('fitter')
/** The device that is about to be let go: said twice. */
const going = ref('')
const renaming = ref('')
const name = ref('')
const when = new Intl.DateTimeFormat('en-GB', { dateStyle: 'medium', timeStyle: 'short' })
const minutes = (seconds: number) => `${Math.floor(seconds / 60)}:${String(seconds % 60).padStart(2, '0')}`

function rename(device: Device) {
  renaming.value = device.ident
  name.value = device.name
}
async function keep(device: Device) {
  if (await change(device, name.value, device.role)) renaming.value = ''
}
</script>

<template>
  <section v-if="told" aria-label="Devices" class="devices">
    <h2>Devices</h2>
    <p v-if="!told.address">
      Only this machine is served. To work at the lathe on a tablet, stop Conch and start it with
      <code>./conch start --lan</code>; it then shows a code that lets the tablet in.
    </p>
    <template v-else>
      <p>
        On this network Conch is at <a class="fig" :href="told.address">{{ told.address }}</a>
      </p>
      <p v-if="!told.secure" class="care">
        <strong>▲ Care</strong> This is plain http: whoever is on this network can read along, and could act
        as a device of yours. Use it on a network that is yours alone, or start with a certificate
        (<code>--certificate</code>, <code>--key</code>). A tablet does not keep its screen awake over plain
        http.
      </p>
      <div v-if="told.code && left" class="code">
        <CodePicture :picture="told.code.picture" :label="`Picture of ${told.code.address}`" />
        <div>
          <p>Point the tablet's camera at the picture, or open the address there and type</p>
          <p class="digits fig" :aria-label="told.code.digits">
            <span>{{ told.code.digits.slice(0, 3) }}</span> <span>{{ told.code.digits.slice(3) }}</span>
          </p>
          <p class="muted" role="timer">for one {{ told.code.role }}, {{ minutes(left) }} left</p>
        </div>
      </div>
      <form class="let" @submit.prevent="letIn(role)">
        <v-select
          v-model="role"
          label="as"
          :items="ROLES"
          item-title="name"
          item-value="code"
          :item-props="(one: (typeof ROLES)[number]) => ({ subtitle: one.does })"
        />
        <BusyButton type="submit" color="secondary" :busy="busy">{{
          told.code && left ? 'Another code' : 'Let a device in'
        }}</BusyButton>
      </form>
    </template>
    <p v-if="problem && !problem.errors.length" class="field-error" role="alert">{{ problem.message }}</p>
    <ul v-if="told.devices.length" class="known">
      <li v-for="device in told.devices" :key="device.ident">
        <form v-if="renaming === device.ident" @submit.prevent="keep(device)">
          <v-text-field
            v-model="name"
            label="What it is called"
            autocomplete="off"
            maxlength="60"
            autofocus
            :error-messages="problem?.of('name')?.message"
            @keydown.esc="renaming = ''"
          />
          <v-btn type="submit" variant="outlined" :disabled="busy">Keep the name</v-btn>
          <plain-btn @click="renaming = ''">Not now</plain-btn>
        </form>
        <template v-else>
          <strong class="name">{{ device.name }}</strong>
          <span>{{ device.role }}</span>
          <span class="muted small">last here {{ when.format(new Date(device.seen_at)) }}</span>
          <span class="acts">
            <template v-if="going === device.ident">
              <span>It will need a new code.</span>
              <v-btn color="error" :disabled="busy" @click="letGo(device)">Let it go</v-btn>
              <plain-btn @click="going = ''">Keep it</plain-btn>
            </template>
            <template v-else>
              <plain-btn :aria-label="`Rename ${device.name}`" @click="rename(device)">Rename</plain-btn>
              <plain-btn
                :aria-label="`Make ${device.name} ${device.role === 'fitter' ? 'an onlooker' : 'a fitter'}`"
                @click="change(device, device.name, device.role === 'fitter' ? 'onlooker' : 'fitter')"
                >Make it {{ device.role === 'fitter' ? 'an onlooker' : 'a fitter' }}</plain-btn
              >
              <plain-btn :aria-label="`Let ${device.name} go`" @click="going = device.ident"
                >Let go</plain-btn
              >
            </template>
          </span>
        </template>
      </li>
    </ul>
    <p v-else-if="told.address" class="muted">No device is known yet.</p>
  </section>
</template>

<style scoped>
.devices {
  display: grid;
  gap: 14px;
}
code {
  white-space: nowrap;
}
.care {
  border-left: 5px solid var(--caution);
  background: var(--quiet);
  border-radius: 0 var(--round) var(--round) 0;
  padding: 8px 14px;
  max-width: 80ch;
}
.care strong {
  color: var(--caution);
  margin-right: 6px;
}
.code {
  display: flex;
  flex-wrap: wrap;
  gap: 20px;
  align-items: center;
}
.digits {
  font-size: clamp(44px, 8vw, 96px);
  font-weight: 700;
  line-height: 1.1;
  color: var(--coral);
  display: flex;
  gap: 0.25em;
}
.let {
  display: flex;
  flex-wrap: wrap;
  gap: 12px;
  align-items: center;
}
.let > .v-input {
  flex: 0 0 220px;
}
.known li {
  display: flex;
  flex-wrap: wrap;
  gap: 4px 18px;
  align-items: center;
  padding: 8px 0;
  border-bottom: 1px solid var(--line);
  min-height: 56px;
}
.known form {
  display: flex;
  flex-wrap: wrap;
  gap: 10px;
  align-items: center;
  flex: 1;
}
.name {
  min-width: 11em;
}
.acts {
  margin-left: auto;
  display: flex;
  flex-wrap: wrap;
  gap: 4px 12px;
  align-items: center;
}
</style>
