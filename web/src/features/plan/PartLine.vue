<script setup lang="ts">
import { computed } from 'vue'

import { type Fact, LINES, UNITS } from '@/features/plan/facts'
import { useChoices } from '@/shared/api/useChoices'
import type { FieldError } from '@/shared/api/client'
import InlineChoice from '@/shared/controls/InlineChoice.vue'
import InlineField from '@/shared/controls/InlineField.vue'

/** What the part is made from, in one quiet line under its title, each fact edited in place. */
const props = defineProps<{
  value: (field: string) => string
  errors: Record<string, FieldError>
  closed: boolean
  /** The fields that concern the job; all of them where nobody says. */
  asks?: string[]
}>()
const emit = defineEmits<{ set: [field: string, value: string]; commit: [] }>()
const { data: choices } = useChoices()

/** Those of every job, those the plan asks for, and what is wrong. */
const shown = computed(() =>
  (LINES.find((line) => line.name === 'Part')?.facts ?? []).filter(
    (fact) =>
      !fact.asked || !props.asks || props.asks.includes(fact.field) || props.errors[fact.field] !== undefined,
  ),
)
const choicesOf = (fact: Fact) =>
  fact.from === 'units'
    ? UNITS
    : fact.from && fact.from !== 'machines'
      ? (choices.value?.[fact.from] ?? [])
      : []
const after = (fact: Fact) =>
  fact.field === 'quantity' && props.value('quantity') === '1' ? 'piece' : fact.after
</script>

<template>
  <p class="line">
    <template v-for="fact in shown" :key="fact.field">
      <InlineChoice
        v-if="fact.from"
        :label="fact.label"
        :before="fact.before"
        :model-value="value(fact.field) || (choicesOf(fact)[0]?.code ?? '')"
        :choices="choicesOf(fact)"
        :error="errors[fact.field]"
        :readonly="closed"
        @update:model-value="emit('set', fact.field, $event)"
        @commit="emit('commit')"
      />
      <InlineField
        v-else
        :label="fact.label"
        :before="fact.before"
        :after="after(fact)"
        :figure="fact.figure"
        :placeholder="fact.empty"
        :model-value="value(fact.field)"
        :error="errors[fact.field]"
        :readonly="closed"
        @update:model-value="emit('set', fact.field, $event)"
        @commit="emit('commit')"
      />
    </template>
  </p>
</template>

<style scoped>
.line {
  display: flex;
  flex-wrap: wrap;
  gap: 0 16px;
  align-items: baseline;
}
</style>
