<script setup lang="ts">
import { computed, ref } from 'vue'
import { VSelect } from 'vuetify/components/VSelect'
import { VTextarea } from 'vuetify/components/VTextarea'
import { VTextField } from 'vuetify/components/VTextField'

import { type Fact, LINES } from '@/features/plan/facts'
import OpenLine from '@/features/plan/OpenLine.vue'
import HazardList from '@/features/plan/HazardList.vue'
import { useMachines } from '@/shared/jobs/useMachines'
import { useChoices } from '@/shared/api/useChoices'
import type { FieldError } from '@/shared/api/client'

/** How the job is made, on what and for whom: a sentence each that says what is in force; a press opens one of them. */
const props = defineProps<{
  value: (field: string) => string
  errors: Record<string, FieldError>
  closed: boolean
  hazards: string[]
  /** The fraction that stands when none is typed. */
  fraction?: string
  /** The fields that concern the job; all of them where nobody says. */
  asks?: string[]
}>()
const emit = defineEmits<{ set: [field: string, value: string]; commit: []; hazards: [codes: string[]] }>()
const { data: choices } = useChoices()
const opened = ref('')

/** Whether a fact is shown: those of every job, those the plan asks for, and what is wrong. */
const concerns = (fact: Fact) =>
  fact.from === 'machines'
    ? machines.value.length > 1
    : !fact.asked || !props.asks || props.asks.includes(fact.field) || props.errors[fact.field] !== undefined
const machines = useMachines()
const choicesOf = (fact: Fact) => {
  if (fact.from === 'machines') return machines.value
  return fact.from && fact.from !== 'units' ? (choices.value?.[fact.from] ?? []) : []
}
/** What is in force: as chosen, or what stands where a job says nothing. */
const inForce = (fact: Fact) =>
  props.value(fact.field) || choices.value?.usual[fact.field] || choicesOf(fact)[0]?.code || ''
const remark = (fact: Fact) => choicesOf(fact).find((one) => one.code === inForce(fact))?.remark ?? ''
const empty = (fact: Fact) =>
  fact.field === 'method.blank_fraction'
    ? `usual: ${props.fraction ?? ''}`
    : (choices.value?.empty[fact.field] ?? fact.empty ?? '')
function words(fact: Fact): string {
  if (fact.from) return choicesOf(fact).find((one) => one.code === inForce(fact))?.name ?? ''
  const typed = props.value(fact.field)
  return typed && [fact.before, typed, fact.after].filter(Boolean).join(' ')
}
const hazardNames = computed(() =>
  (choices.value?.hazards ?? []).filter((one) => props.hazards.includes(one.code)).map((one) => one.name),
)
const groups = computed(() =>
  LINES.filter((line) => line.name !== 'Part')
    .map((line) => {
      const facts = line.facts.filter(concerns)
      const told = facts.map(words).filter(Boolean)
      if (line.name === 'Use') told.push(...hazardNames.value.map((name) => `safety-critical use: ${name}`))
      return {
        name: line.name,
        facts,
        sentence: told.join(' · ') || 'not given',
        wrong: facts.some((fact) => props.errors[fact.field]),
      }
    })
    .filter((group) => group.facts.length),
)
const isOpen = (group: { name: string; wrong: boolean }) => opened.value === group.name || group.wrong
function choose(fact: Fact, code: unknown) {
  emit('set', fact.field, String(code))
  emit('commit')
}
</script>

<template>
  <div class="groups">
    <OpenLine
      v-for="group in groups"
      :key="group.name"
      :name="group.name"
      :sentence="group.sentence"
      :open="isOpen(group)"
      @toggle="opened = opened === group.name ? '' : group.name"
    >
      <div class="fields">
        <template v-for="fact in group.facts" :key="fact.field">
          <div v-if="fact.from">
            <v-select
              :label="fact.label"
              :items="choicesOf(fact)"
              item-title="name"
              item-value="code"
              :model-value="inForce(fact)"
              :error-messages="errors[fact.field]?.message"
              :readonly="closed"
              @update:model-value="choose(fact, $event)"
            />
            <p v-if="fact.telling && remark(fact)" class="small muted tell">{{ remark(fact) }}</p>
          </div>
          <v-textarea
            v-else-if="fact.long"
            class="wide"
            :label="fact.label"
            :model-value="value(fact.field)"
            :error-messages="errors[fact.field]?.message"
            :readonly="closed"
            rows="1"
            auto-grow
            @update:model-value="emit('set', fact.field, $event)"
            @blur="emit('commit')"
            @keydown.enter.prevent="emit('commit')"
          />
          <v-text-field
            v-else
            :label="fact.label"
            :placeholder="empty(fact)"
            persistent-placeholder
            :model-value="value(fact.field)"
            :error-messages="errors[fact.field]?.message"
            :readonly="closed"
            autocomplete="off"
            @update:model-value="emit('set', fact.field, $event)"
            @blur="emit('commit')"
            @keydown.enter.prevent="emit('commit')"
          />
        </template>
        <HazardList
          v-if="group.name === 'Use'"
          class="wide"
          :chosen="hazards"
          :closed="closed"
          @change="emit('hazards', $event)"
        />
      </div>
    </OpenLine>
  </div>
</template>

<style scoped>
.groups {
  display: contents;
}
.fields {
  display: grid;
  grid-template-columns: repeat(auto-fit, minmax(240px, 1fr));
  gap: 12px;
  padding: 4px 0 12px;
}
.tell {
  padding: 4px 4px 0;
}
.wide {
  grid-column: 1 / -1;
}
</style>
