<script setup lang="ts">
import { computed, useId } from 'vue'
import { VTextarea } from 'vuetify/components/VTextarea'
import { VTextField } from 'vuetify/components/VTextField'

import ChoiceList from '@/shared/controls/ChoiceList.vue'
import type { FieldError } from '@/shared/api/client'

/** A value edited where it stands, as text: what was typed stays typed, with the error beside it. */
const props = defineProps<{
  label: string
  modelValue: string
  error?: FieldError
  readonly?: boolean
  figure?: boolean
  before?: string
  after?: string
  placeholder?: string
  /** Words that run over several lines where the place is narrow. */
  long?: boolean
}>()
const emit = defineEmits<{ 'update:modelValue': [string]; commit: []; focused: [] }>()
const id = useId()
/** As wide as what it holds, with room for the next letter. */
const width = computed(() => {
  const letters = (props.modelValue || props.placeholder || '').length + 1
  return { width: `calc(${Math.max(4, Math.min(44, letters))}ch + 4px)` }
})

function pick(choice: string) {
  emit('update:modelValue', choice)
  emit('commit')
}
const leave = (event: KeyboardEvent) => (event.target as HTMLElement).blur()
</script>

<template>
  <span class="inline">
    <span v-if="before" class="muted" aria-hidden="true">{{ before }}</span>
    <component
      :is="long ? VTextarea : VTextField"
      v-bind="long ? { rows: 1, autoGrow: true } : {}"
      class="in-place"
      :class="{ fig: figure }"
      :style="width"
      variant="underlined"
      density="compact"
      hide-details
      single-line
      :aria-label="label"
      :aria-invalid="error !== undefined"
      :aria-describedby="error ? `${id}-error` : undefined"
      :model-value="modelValue"
      :error="error !== undefined"
      :readonly="readonly"
      :placeholder="placeholder"
      autocomplete="off"
      spellcheck="false"
      maxlength="2000"
      @update:model-value="emit('update:modelValue', $event)"
      @focus="emit('focused')"
      @blur="emit('commit')"
      @keydown.enter.prevent="leave"
    />
    <span v-if="after" class="muted" aria-hidden="true">{{ after }}</span>
    <span v-if="error" :id="`${id}-error`" class="field-error" role="alert">
      {{ error.message }}
      <ChoiceList compact :choices="error.choices" @take="pick" />
    </span>
  </span>
</template>

<style scoped>
.inline {
  display: inline-flex;
  align-items: baseline;
  gap: 4px;
  flex-wrap: wrap;
  max-width: 100%;
}
.in-place {
  max-width: 100%;
}
.field-error {
  flex-basis: 100%;
}
</style>
