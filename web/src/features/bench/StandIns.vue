<script setup lang="ts">
import { ref, shallowRef } from 'vue'
import { VSelect } from 'vuetify/components/VSelect'
import { VTextField } from 'vuetify/components/VTextField'

import { asProblem, ask, client, type Problem, type Schemas } from '@/shared/api/client'
import { useChoices } from '@/shared/api/useChoices'
import { useUnits } from '@/shared/figures/useUnits'

/** The stand-ins of this server: a readout to jog, zero and preset, a caliper with a key, and what may go wrong. */
const { unit } = useUnits()
const problem = shallowRef<Problem | null>(null)
const on = ref(false)
const jog = ref('0.5')
const preset = ref('')
const size = ref('')
const fault = ref('none')
const { data: choices } = useChoices()
type Axis = 'x' | 'z'

async function act(body: Partial<Schemas['StandInIn']> & { do: Schemas['StandInIn']['do'] }) {
  const whole = { axis: '' as const, value: '', unit: unit.value, fault: '', ...body }
  try {
    const told = await ask(client.POST('/api/instruments/stand-in', { body: whole }))
    on.value = told.some((one) => one.stand_in)
    problem.value = null
  } catch (error) {
    problem.value = asProblem(error)
  }
}
const move = (axis: Axis, sign: '' | '-') => act({ do: 'jog', axis, value: sign + jog.value })
const show = (axis: Axis, value: string) => act({ do: 'preset', axis, value })
</script>

<template>
  <details class="stand-ins">
    <summary>Sound, reference piece, simulated instruments</summary>
    <slot />
    <div class="controls">
      <v-btn variant="outlined" @click="act({ do: on ? 'off' : 'on' })">{{
        on ? 'Stop them' : 'Start the simulated instruments'
      }}</v-btn>
      <v-text-field
        v-model="jog"
        class="fig"
        :label="`jog by, ${unit}`"
        density="compact"
        hide-details
        maxlength="40"
      />
      <span class="jogs" role="group" aria-label="Jog">
        <v-btn variant="outlined" @click="move('x', '-')">X −</v-btn>
        <v-btn variant="outlined" @click="move('x', '')">X +</v-btn>
        <v-btn variant="outlined" @click="move('z', '-')">Z −</v-btn>
        <v-btn variant="outlined" @click="move('z', '')">Z +</v-btn>
      </span>
      <v-text-field
        v-model="preset"
        class="fig"
        :label="`preset value, ${unit}`"
        density="compact"
        hide-details
        maxlength="40"
      />
      <span class="jogs" role="group" aria-label="Preset">
        <v-btn variant="outlined" @click="show('x', preset || '0')">Preset X</v-btn>
        <v-btn variant="outlined" @click="show('z', preset || '0')">Preset Z</v-btn>
      </span>
      <v-text-field
        v-model="size"
        class="fig"
        :label="`caliper reading, ${unit}`"
        density="compact"
        hide-details
        maxlength="40"
      />
      <v-btn variant="outlined" @click="act({ do: 'send', value: size })">Send the reading</v-btn>
      <v-select
        v-model="fault"
        class="fault"
        label="simulate a fault"
        :items="choices?.faults"
        item-value="code"
        item-title="name"
        density="compact"
        hide-details
        @update:model-value="act({ do: 'fault', fault })"
      />
    </div>
    <p v-if="problem" class="field-error" role="alert">{{ problem.message }}</p>
  </details>
</template>

<style scoped>
summary {
  min-height: 32px;
  color: var(--muted);
}
.controls,
.jogs {
  display: flex;
  flex-wrap: wrap;
  gap: 8px;
  align-items: center;
}
.controls {
  gap: 12px 8px;
}
.controls > .fig {
  flex: 0 1 150px;
}
@media (max-width: 600px) {
  .controls > .fig,
  .jogs {
    flex: 1 1 100%;
  }
  .jogs > .v-btn {
    flex: 1 1 40%;
  }
}
.fault {
  flex: 0 1 190px;
}
</style>
