<script setup lang="ts">
import type { FieldError } from '@/shared/api/client'
import InlineField from '@/shared/controls/InlineField.vue'
import { useNominals } from '@/shared/figures/useNominals'

/** What was measured on a sample, beside the sizes it probably meant: the person decides, both are kept. */
const props = defineProps<{
  label: string
  before: string
  modelValue: string
  of: 'across' | 'length' | 'thread'
  jobUnit: 'in' | 'mm'
  /** What was decided, to mark it. */
  decided: string
  error?: FieldError
  readonly?: boolean
}>()
const emit = defineEmits<{ 'update:modelValue': [string]; commit: []; pick: [string] }>()
const { nominals: offered, off } = useNominals(() => ({
  reading: props.modelValue,
  unit: props.jobUnit,
  of: props.of,
}))
</script>

<template>
  <span class="sample">
    <InlineField
      :label="label"
      :before="before"
      figure
      :model-value="modelValue"
      :error="error"
      :readonly="readonly"
      @update:model-value="emit('update:modelValue', $event)"
      @commit="emit('commit')"
    />
    <button
      v-for="one in offered"
      :key="one.typed"
      type="button"
      class="offer fig"
      :aria-pressed="one.typed === decided"
      :disabled="readonly"
      :title="`The sample measures ${off(one.under)} this size`"
      @click="emit('pick', one.typed)"
    >
      {{ one.typed === decided ? '✓ ' : '' }}{{ one.typed }}
      <span class="muted small">{{ off(one.under) }}</span>
    </button>
  </span>
</template>

<style scoped>
.sample {
  display: inline-flex;
  flex-wrap: wrap;
  gap: 4px 8px;
  align-items: baseline;
}
.offer {
  border: 1px solid var(--line);
  border-radius: var(--tight);
  background: var(--surface);
  padding: 0 8px;
  cursor: pointer;
}
.offer:hover:enabled {
  border-color: var(--lagoon);
}
.offer[aria-pressed='true'] {
  border-color: var(--lagoon);
  color: var(--lagoon);
  font-weight: 700;
}
</style>
