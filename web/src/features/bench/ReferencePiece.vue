<script setup lang="ts">
import { ref, shallowRef } from 'vue'
import { VTextField } from 'vuetify/components/VTextField'

import type { Sent } from '@/features/bench/useInstruments'
import { asProblem, ask, client, type Problem, type Schemas } from '@/shared/api/client'
import { useUnits } from '@/shared/figures/useUnits'

/** A reference piece is measured a few times: what the instrument is off by is taken off its readings from then on. */
const sent = defineModel<Sent[] | null>({ required: true })
const { unit, text } = useUnits()
const reference = ref('')
const within = ref('')
const found = shallowRef<Schemas['OffsetShown'] | null>(null)
const problem = shallowRef<Problem | null>(null)

function begin() {
  sent.value = []
  found.value = null
  problem.value = null
}
async function take() {
  const name = sent.value?.at(-1)?.name ?? ''
  const body = { name, reference: reference.value, within: within.value || '0', unit: unit.value }
  try {
    found.value = await ask(client.POST('/api/instruments/reference', { body }))
    sent.value = null
    problem.value = null
  } catch (error) {
    problem.value = asProblem(error)
  }
}
</script>

<template>
  <div class="reference">
    <v-btn v-if="sent === null" variant="outlined" @click="begin"
      >Check an instrument on a reference piece</v-btn
    >
    <template v-else>
      <p>
        Measure the reference piece at least three times and send each reading. They are not recorded for this
        step.
      </p>
      <v-text-field
        v-model="reference"
        class="fig"
        :label="`size of the reference piece, ${unit}`"
        density="compact"
        maxlength="60"
        :error-messages="problem?.of('reference')?.message"
      />
      <v-text-field
        v-model="within"
        class="fig"
        :label="`uncertainty (±), ${unit}`"
        placeholder="0"
        persistent-placeholder
        density="compact"
        maxlength="60"
        :error-messages="problem?.of('within')?.message"
      />
      <span class="fig">{{ sent.map((one) => one.typed).join(' · ') }}</span>
      <v-btn variant="outlined" :disabled="!sent.length" @click="take">Save the correction</v-btn>
      <v-btn variant="text" @click="sent = null">Cancel</v-btn>
    </template>
    <p v-if="problem && !problem.of('reference') && !problem.of('within')" class="field-error" role="alert">
      {{ problem.message }}
    </p>
    <p v-if="found" role="status">
      {{ found.name }}: <strong class="fig">{{ text(found.correction.shown) }}</strong> is now added to every
      reading (± <strong class="fig">{{ text(found.uncertainty.shown) }}</strong>).
    </p>
  </div>
</template>

<style scoped>
.reference {
  display: flex;
  flex-wrap: wrap;
  gap: 8px;
  align-items: center;
  margin-top: 8px;
}
.reference > p {
  flex: 1 0 100%;
}
.reference > .v-input {
  flex: 0 1 170px;
}
</style>
