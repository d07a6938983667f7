<script setup lang="ts">
import { computed, useId } from 'vue'

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
  /** Words that may run over several lines. */
  long?: boolean
}>()
const emit = defineEmits<{ 'update:modelValue': [string]; commit: []; focused: [] }>()
const id = useId()
const LINE = 60
const room = computed(() => {
  const wanted = (props.modelValue || props.placeholder || '').length + 1
  return props.long
    ? { cols: Math.max(12, Math.min(LINE, wanted)), rows: Math.ceil(wanted / LINE) }
    : { size: Math.max(3, Math.min(40, wanted)) }
})

function pick(choice: string) {
  emit('update:modelValue', choice)
  emit('commit')
}
</script>

<template>
  <span class="inline" :class="{ wrong: error }">
    <label :for="id" class="sr">{{ label }}</label>
    <span v-if="before" class="muted" aria-hidden="true">{{ before }}</span>
    <component
      :is="long ? 'textarea' : 'input'"
      :id="id"
      :value="modelValue"
      v-bind="room"
      :class="{ fig: figure }"
      :readonly="readonly"
      :placeholder="placeholder"
      :aria-invalid="error !== undefined"
      :aria-describedby="error ? `${id}-error` : undefined"
      autocomplete="off"
      spellcheck="false"
      maxlength="2000"
      @focus="emit('focused')"
      @input="emit('update:modelValue', ($event.target as HTMLInputElement).value)"
      @change="emit('commit')"
      @keydown.enter.prevent="($event.target as HTMLInputElement).blur()"
    />
    <span v-if="after" class="muted" aria-hidden="true">{{ after }}</span>
    <span v-if="error" :id="`${id}-error`" class="field-error" role="alert">
      {{ error.message }}
      <button
        v-for="choice in error.choices.slice(0, 6)"
        :key="choice"
        type="button"
        class="plain fig"
        @mousedown.prevent
        @click="pick(choice)"
      >
        {{ choice }}
      </button>
    </span>
  </span>
</template>

<style scoped>
.inline {
  display: inline-flex;
  align-items: baseline;
  gap: 5px;
  flex-wrap: wrap;
  max-width: 100%;
}
input,
textarea {
  font: inherit;
  color: inherit;
  border: 0;
  border-bottom: 2px dotted var(--line);
  background: none;
  padding: 2px 1px;
  min-width: 0;
  max-width: 100%;
}
textarea {
  resize: none;
  /* As tall as its words where the browser can; else as tall as they are likely to be. */
  field-sizing: content;
  max-width: min(100%, 60ch);
}
input.fig {
  font-family: var(--figures);
}
input:hover:not(:read-only),
textarea:hover:not(:read-only) {
  border-bottom-color: var(--lagoon);
}
input:focus,
textarea:focus {
  background: var(--surface);
  border-bottom: 2px solid var(--lagoon);
}
.wrong input,
.wrong textarea {
  border-bottom: 2px solid var(--stop);
}
.field-error {
  flex-basis: 100%;
}
</style>
