<script setup lang="ts">
import { moments } from '@/shared/figures/dates'
import { ref } from 'vue'
import { VSelect } from 'vuetify/components/VSelect'

import { type Device, type Role, useDevices } from '@/features/upkeep/useDevices'
import BusyButton from '@/shared/controls/BusyButton.vue'
import CodePicture from '@/shared/controls/CodePicture.vue'

/** The tablets that may work here: let in by a code, named, let go. */
const { told, left, busy, problem, letIn, change, letGo } = useDevices()
const ROLES: { code: Role; name: string; does: string }[] = [
  { code: 'fitter', name: 'full use', does: 'may record and change' },
  { code: 'onlooker', name: 'view only', does: 'may change nothing' },
]
const role = ref<Role>('fitter')
/** The device that is about to be let go: said twice. */
const going = ref('')
const renaming = ref('')
const name = ref('')
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
      Only this computer can use Conch now. To use a tablet at the lathe, stop Conch and start it with
      <code>./conch start --lan</code>. It then shows a code for the tablet.
    </p>
    <template v-else>
      <p>
        Address on this network: <a class="fig" :href="told.address">{{ told.address }}</a>
      </p>
      <p v-if="!told.secure" class="care">
        <strong>▲ Caution</strong> Use this only on a network you trust. The connection is not encrypted:
        others on the network can read it and pose as your tablet. For an encrypted connection start Conch
        with <code>--certificate</code> and <code>--key</code>; only then can a tablet keep its screen on.
      </p>
      <div v-if="told.code && left" class="code">
        <CodePicture :picture="told.code.picture" :label="`QR code for ${told.code.address}`" />
        <div>
          <p>Scan the code with the tablet. Or open the address on the tablet and type:</p>
          <p class="digits fig" :aria-label="told.code.digits">
            <span>{{ told.code.digits.slice(0, 3) }}</span> <span>{{ told.code.digits.slice(3) }}</span>
          </p>
          <p class="muted" role="timer">
            Lets in one device ({{ told.code.role === 'fitter' ? 'full use' : 'view only' }}). Valid for
            {{ minutes(left) }}.
          </p>
        </div>
      </div>
      <form class="let" @submit.prevent="letIn(role)">
        <v-select
          v-model="role"
          label="Access"
          :items="ROLES"
          item-title="name"
          item-value="code"
          :item-props="(one: (typeof ROLES)[number]) => ({ subtitle: one.does })"
        />
        <BusyButton type="submit" color="secondary" :busy="busy">{{
          told.code && left ? 'New code' : 'Let a tablet in'
        }}</BusyButton>
      </form>
    </template>
    <p v-if="problem && !problem.errors.length" class="field-error" role="alert">{{ problem.message }}</p>
    <ul v-if="told.devices.length" class="known">
      <li v-for="device in told.devices" :key="device.ident">
        <form v-if="renaming === device.ident" @submit.prevent="keep(device)">
          <v-text-field
            v-model="name"
            label="Device name"
            autocomplete="off"
            maxlength="60"
            autofocus
            :error-messages="problem?.of('name')?.message"
            @keydown.esc="renaming = ''"
          />
          <v-btn type="submit" variant="outlined" :disabled="busy">Save the name</v-btn>
          <plain-btn @click="renaming = ''">Cancel</plain-btn>
        </form>
        <template v-else>
          <strong class="name">{{ device.name }}</strong>
          <span>{{ device.role === 'fitter' ? 'full use' : 'view only' }}</span>
          <span class="muted small">last used {{ moments.format(new Date(device.seen_at)) }}</span>
          <span class="acts">
            <template v-if="going === device.ident">
              <span>Remove this device? It will need a new code to come back.</span>
              <v-btn color="error" :disabled="busy" @click="letGo(device)">Remove</v-btn>
              <plain-btn @click="going = ''">Cancel</plain-btn>
            </template>
            <template v-else>
              <plain-btn :aria-label="`Rename ${device.name}`" @click="rename(device)">Rename</plain-btn>
              <plain-btn
                :aria-label="
                  device.role === 'fitter' ? `Make ${device.name} view only` : `Give ${device.name} full use`
                "
                @click="change(device, device.name, device.role === 'fitter' ? 'onlooker' : 'fitter')"
                >{{ device.role === 'fitter' ? 'Make it view only' : 'Give it full use' }}</plain-btn
              >
              <plain-btn :aria-label="`Remove ${device.name}`" @click="going = device.ident"
                >Remove</plain-btn
              >
            </template>
          </span>
        </template>
      </li>
    </ul>
    <p v-else-if="told.address" class="muted">No tablet has been let in yet.</p>
  </section>
</template>

<style scoped>
.devices {
  display: grid;
  gap: 12px;
}
code {
  white-space: nowrap;
}
.care {
  border-left: 5px solid var(--caution);
  background: var(--quiet);
  border-radius: 0 var(--round) var(--round) 0;
  padding: 8px 16px;
  max-width: 80ch;
}
.care strong {
  color: var(--caution);
  margin-right: 8px;
}
.code {
  display: flex;
  flex-wrap: wrap;
  gap: 16px;
  align-items: center;
}
.digits {
  font-size: var(--s44);
  font-weight: 700;
  line-height: 1.1;
  color: var(--coral);
  display: flex;
  gap: 12px;
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
  gap: 4px 16px;
  align-items: center;
  padding: 8px 0;
  border-bottom: 1px solid var(--line);
  min-height: 56px;
}
.known form {
  display: flex;
  flex-wrap: wrap;
  gap: 8px;
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
