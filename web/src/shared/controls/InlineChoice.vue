<script setup lang="ts">
import { computed, useId } from 'vue'

import type { FieldError, Schemas } from '@/shared/api/client'

/** A choice edited where it stands. */
const props = defineProps<{
  label: string
  modelValue: string
  choices: Schemas['ChoiceShown'][]
  error?: FieldError
  readonly?: boolean
  before?: string
  /** Say what the choice brings, beside it. */
  telling?: boolean
}>()
const emit = defineEmits<{ 'update:modelValue': [string]; commit: [] }>()
const id = useId()

const remark = computed(() =>
  props.telling ? props.choices.find((one) => one.code === props.modelValue)?.remark : '',
)

function choose(event: Event) {
  emit('update:modelValue', (event.target as HTMLSelectElement).value)
  emit('commit')
}
</script>

<template>
  <span class="inline">
    <label :for="id" class="sr">{{ label }}</label>
    <span v-if="before" class="muted" aria-hidden="true">{{ before }}</span>
    <select :id="id" :value="modelValue" :disabled="readonly" @change="choose">
      <option v-for="choice in choices" :key="choice.code" :value="choice.code" :title="choice.remark">
        {{ choice.name }}
      </option>
    </select>
    <span v-if="remark" class="muted small">{{ remark }}</span>
    <span v-if="error" class="field-error" role="alert">{{ error.message }}</span>
  </span>
</template>

<style scoped>
.inline {
  display: inline-flex;
  align-items: baseline;
  flex-wrap: wrap;
  gap: 0 5px;
}
select {
  font: inherit;
  color: inherit;
  border: 0;
  border-bottom: 2px dotted var(--line);
  background: var(--ground);
  padding: 2px 1px;
  cursor: pointer;
}
select:hover {
  border-bottom-color: var(--lagoon);
}
select:disabled {
  opacity: 1;
  color: inherit;
  cursor: default;
}
option {
  background: var(--surface);
}
</style>
