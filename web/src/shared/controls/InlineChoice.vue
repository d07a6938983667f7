<script setup lang="ts">
import { VSelect } from 'vuetify/components/VSelect'

import type { FieldError, Schemas } from '@/shared/api/client'

/** A choice edited where it stands; what each brings is told in its list. */
defineProps<{
  label: string
  modelValue: string
  choices: Schemas['ChoiceShown'][]
  error?: FieldError
  readonly?: boolean
  before?: string
}>()
const emit = defineEmits<{ 'update:modelValue': [string]; commit: [] }>()

function choose(code: string) {
  emit('update:modelValue', code)
  emit('commit')
}
</script>

<template>
  <span class="inline">
    <span v-if="before" class="muted" aria-hidden="true">{{ before }}</span>
    <v-select
      class="in-place"
      variant="underlined"
      density="compact"
      hide-details
      single-line
      :aria-label="label"
      :items="choices"
      item-title="name"
      item-value="code"
      :item-props="(choice: Schemas['ChoiceShown']) => (choice.remark ? { subtitle: choice.remark } : {})"
      :model-value="modelValue"
      :readonly="readonly"
      :error="error !== undefined"
      @update:model-value="choose"
    />
    <span v-if="error" class="field-error" role="alert">{{ error.message }}</span>
  </span>
</template>

<style scoped>
.inline {
  display: inline-flex;
  align-items: baseline;
  flex-wrap: wrap;
  gap: 0 4px;
  max-width: 100%;
}
</style>
