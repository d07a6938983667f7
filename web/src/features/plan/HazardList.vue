<script setup lang="ts">
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
  <fieldset :disabled="closed">
    <legend class="small muted">If it fails, it is part of</legend>
    <label v-for="hazard in choices?.hazards" :key="hazard.code" class="small">
      <input
        type="checkbox"
        :checked="chosen.includes(hazard.code)"
        @change="toggle(hazard.code, ($event.target as HTMLInputElement).checked)"
      />
      {{ hazard.name }}
    </label>
  </fieldset>
</template>

<style scoped>
fieldset {
  border: 0;
  padding: 0;
  margin: 0;
  display: flex;
  flex-wrap: wrap;
  gap: 4px 18px;
}
legend {
  padding: 0;
  margin-bottom: 2px;
}
label {
  display: inline-flex;
  gap: 6px;
  align-items: center;
}
</style>
