<script setup lang="ts">
import { VBtnToggle } from 'vuetify/components/VBtnToggle'
import { VSelect } from 'vuetify/components/VSelect'
import { VTextField } from 'vuetify/components/VTextField'

import { useHolder } from '@/features/holders/useHolder'
import WaitingSign from '@/shared/controls/WaitingSign.vue'
import { useChoices } from '@/shared/api/useChoices'
import HolderDimensions from '@/features/holders/HolderDimensions.vue'
import HolderDrawings from '@/features/holders/HolderDrawings.vue'
import BusyButton from '@/shared/controls/BusyButton.vue'
import FittersOnly from '@/shared/controls/FittersOnly.vue'

/** A holder to make oneself: each dimension with its reason as one types, drawn, and the job that makes it. */
const {
  unit,
  typed,
  own,
  holders,
  code,
  holder,
  whole,
  example,
  found,
  problem,
  busy,
  trouble,
  make,
  remember,
  fileAt,
} = useHolder()
const { data: choices } = useChoices()
type Field = keyof typeof typed.value
const label = (one: { label: string; size: boolean }) =>
  one.size ? `${one.label}, ${unit.value}` : one.label
</script>

<template>
  <div class="page">
    <h1>Design a holder</h1>
    <v-btn-toggle
      v-model="code"
      class="choices"
      mandatory
      color="primary"
      variant="outlined"
      aria-label="Kind of holder"
    >
      <v-btn v-for="one in holders" :key="one.code" :value="one.code" :aria-pressed="one.code === code">{{
        one.name
      }}</v-btn>
    </v-btn-toggle>
    <WaitingSign v-if="!holders" what="the holders" />
    <div v-if="holder" class="halves">
      <form class="fields" :aria-label="holder.name" novalidate @submit.prevent="make">
        <p class="muted">{{ holder.remark }}</p>
        <v-text-field
          v-for="one in holder.asks"
          :key="one.field"
          v-model="typed[one.field as Field]"
          :label="label(one)"
          :placeholder="unit === 'in' ? one.inch : one.mm"
          persistent-placeholder
          autocomplete="off"
          maxlength="60"
          :error-messages="problem?.of(one.field)?.message"
          @update:model-value="remember"
        />
        <v-select
          v-model="typed.metal"
          label="Material"
          :items="choices?.materials ?? []"
          item-title="name"
          item-value="code"
          @update:model-value="remember"
        />
        <p v-if="problem && !problem.errors.length" class="field-error" role="alert">{{ problem.message }}</p>
        <p v-if="trouble" class="field-error" role="alert">{{ trouble.message }}</p>
        <FittersOnly>
          <p class="act">
            <BusyButton type="submit" color="secondary" size="large" :busy="busy" :disabled="!found || !whole"
              >Start the job</BusyButton
            >
            <span class="muted">Starts a new job. You can change everything on its plan.</span>
          </p>
        </FittersOnly>
      </form>
      <section v-if="found && example" class="design example" aria-label="Example" inert>
        <p class="muted">An example: {{ found.title }}</p>
        <HolderDrawings :design="found" :file-at="fileAt" />
      </section>
      <section v-else-if="found && whole" class="design" aria-label="Design">
        <HolderDrawings :design="found" :file-at="fileAt" />
        <ul v-if="found.conflicts.length" class="conflicts" aria-label="Problems with this design">
          <li v-for="one in found.conflicts" :key="one.code">◆ {{ one.text }}</li>
        </ul>
        <HolderDimensions v-model="own" :dimensions="found.dimensions" :problem="problem" />
      </section>
      <p v-else class="muted">Measure what it must fit, and type the sizes. Conch works out the rest.</p>
    </div>
  </div>
</template>

<style scoped>
.page {
  display: grid;
  gap: 12px;
  max-width: 1180px;
}
/* Each by itself: there are more of them than a row holds. */
.halves {
  display: grid;
  grid-template-columns: minmax(0, 380px) minmax(0, 1fr);
  gap: 32px;
  align-items: start;
}
.fields,
.design {
  display: grid;
  gap: 12px;
}
.act {
  display: flex;
  flex-wrap: wrap;
  gap: 8px 16px;
  align-items: center;
}
/* What it would look like: gone at the first key. */
.example {
  opacity: 0.55;
}
.conflicts {
  color: var(--caution);
  font-weight: 700;
}
@media (max-width: 760px) {
  .halves {
    grid-template-columns: minmax(0, 1fr);
  }
}
</style>
