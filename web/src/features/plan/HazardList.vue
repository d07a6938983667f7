<script setup lang="ts">
import { VCheckbox } from 'vuetify/components/VCheckbox'

import { useChoices } from '@/shared/api/useChoices'

/** The kinds of use in which others decide; each chosen one brings its caution, to be read before the bench goes on. */
const props = defineProps<{ chosen: string[]; closed: boolean }>()
const emit = defineEmits<{ change: [string[]] }>()
const { data: choices } = useChoices()

function toggle(code: string, on: boolean) {
  emit('change', on ? [...props.chosen, code] : props.chosen.filter((one) => one !== code))
}
</script>

<template>
  <fieldset>
    <legend class="small muted">This part is used in (tick all that apply)</legend>
    <v-checkbox
      v-for="hazard in choices?.hazards"
      :key="hazard.code"
      :label="hazard.name"
      :model-value="chosen.includes(hazard.code)"
      :readonly="closed"
      @update:model-value="toggle(hazard.code, $event === true)"
    />
  </fieldset>
</template>

<style scoped>
fieldset {
  border: 0;
  padding: 0;
  margin: 0;
  display: flex;
  flex-wrap: wrap;
  gap: 4px 16px;
}
legend {
  padding: 0;
  margin-bottom: 4px;
}
</style>
