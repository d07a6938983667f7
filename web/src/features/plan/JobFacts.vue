<script setup lang="ts">
import { computed } from 'vue'

import type { FieldError } from '@/shared/api/client'
import InlineChoice from '@/shared/controls/InlineChoice.vue'
import InlineField from '@/shared/controls/InlineField.vue'
import { useChoices } from '@/shared/api/useChoices'

/** The job's facts in quiet lines, each edited in place. */
const props = defineProps<{
  value: (field: string) => string
  errors: Record<string, FieldError>
  closed: boolean
  lines: string[]
  /** The fraction that stands when none is typed. */
  fraction?: string
  /** The fields that concern the job; all of them where nobody says. */
  asks?: string[]
}>()
const emit = defineEmits<{ set: [field: string, value: string]; commit: [] }>()
const { data: choices } = useChoices()

interface Fact {
  field: string
  label: string
  before?: string
  after?: string | (() => string)
  figure?: boolean
  /** Words that may run over several lines. */
  long?: boolean
  telling?: boolean
  /** What stands where nothing is typed. */
  empty?: string
  /** The choice that stands where none was made, when it is not the first. */
  usual?: string
  from?:
    | 'materials'
    | 'stocks'
    | 'schools'
    | 'finishes'
    | 'holders'
    | 'orders'
    | 'supports'
    | 'dials'
    | 'readouts'
    | 'lathes'
    | 'edges'
    | 'mounts'
    | 'units'
    | 'tappings'
  /** Shown where the plan asks for it. */
  asked?: true
}
/** Whether a fact is shown: those of every job, those the plan asks for, and what is wrong. */
const concerns = (fact: Fact) =>
  !fact.asked || !props.asks || props.asks.includes(fact.field) || props.errors[fact.field] !== undefined
const UNITS = [
  { code: 'in', name: 'inches', remark: 'bare numbers are inches' },
  { code: 'mm', name: 'millimetres', remark: 'bare numbers are millimetres' },
]
const LINES: { name: string; facts: Fact[] }[] = [
  {
    name: 'Part',
    facts: [
      {
        field: 'quantity',
        label: 'Pieces',
        after: () => (props.value('quantity') === '1' ? 'piece' : 'pieces'),
        figure: true,
      },
      { field: 'material', label: 'Metal', before: 'of', from: 'materials' },
      { field: 'part.stock.form', label: 'Stock', before: 'from', from: 'stocks' },
      { field: 'part.stock.across', label: 'Bar size', figure: true },
      {
        field: 'part.stock.bar_length',
        label: 'Length of the bars',
        before: 'in bars of',
        figure: true,
        empty: 'any length',
        asked: true,
      },
      { field: 'unit', label: 'Unit of bare numbers', from: 'units' },
    ],
  },
  {
    name: 'Method',
    facts: [
      {
        field: 'method.blank_school',
        label: 'Blank diameter',
        before: 'blank',
        from: 'schools',
        asked: true,
      },
      {
        field: 'method.blank_fraction',
        label: 'Fraction of the pitch (empty: the metal’s own)',
        before: 'fraction',
        figure: true,
        asked: true,
      },
      {
        field: 'method.mate_minor',
        label: 'Bore of the mate, measured',
        before: 'its bore',
        figure: true,
        empty: 'not measured',
        asked: true,
      },
      {
        field: 'method.mate_pitch',
        label: 'Pitch diameter of the mate, measured',
        before: 'its pitch diameter',
        figure: true,
        empty: 'not measured',
        asked: true,
      },
      { field: 'method.finish', label: 'At the shoulder', from: 'finishes', asked: true },
      {
        field: 'method.holder',
        label: 'What holds the die',
        before: 'die in',
        from: 'holders',
        telling: true,
        asked: true,
      },
      { field: 'method.order', label: 'Order of work', from: 'orders', telling: true, asked: true },
      { field: 'method.support', label: 'Held in', before: 'held in', from: 'supports', telling: true },
      {
        field: 'method.overruled',
        label: 'Why it is held as chosen all the same',
        before: 'as chosen all the same, because',
        empty: 'no reason: as the plan says',
        asked: true,
      },
    ],
  },
  {
    name: 'Holes',
    facts: [
      {
        field: 'method.tapping',
        label: 'How holes are tapped',
        from: 'tappings',
        telling: true,
        asked: true,
      },
      {
        field: 'method.percent',
        label: 'Per cent thread in holes (empty: what suits the metal)',
        before: 'at',
        after: '% thread',
        figure: true,
        empty: 'the metal’s',
        asked: true,
      },
      {
        field: 'setup.drills',
        label: 'Drills you own',
        before: 'out of',
        empty: 'the racks of your unit; or: metric, 1/4, F',
        figure: true,
        asked: true,
      },
    ],
  },
  {
    name: 'Lathe',
    facts: [
      { field: 'setup.lathe', label: 'Lathe', from: 'lathes', usual: 'middling' },
      {
        field: 'setup.mount',
        label: 'How the chuck sits on the spindle',
        from: 'mounts',
        telling: true,
        asked: true,
      },
      { field: 'setup.dial', label: 'Cross-slide dial', from: 'dials' },
      { field: 'setup.readout', label: 'Places along the bed', from: 'readouts' },
      {
        field: 'setup.run_down',
        label: 'Turns the spindle runs on when switched off',
        before: 'runs on',
        after: 'turns',
        figure: true,
        empty: '1',
        asked: true,
      },
      {
        field: 'setup.groove_blade',
        label: 'Groove blade width',
        before: 'groove blade',
        figure: true,
      },
      { field: 'setup.groove_edge', label: 'Groove blade edge touched off', from: 'edges' },
      {
        field: 'setup.parting_blade',
        label: 'Parting blade width',
        before: 'parting blade',
        figure: true,
        asked: true,
      },
      {
        field: 'setup.parting_edge',
        label: 'Parting blade edge touched off',
        from: 'edges',
        asked: true,
      },
    ],
  },
  {
    name: 'For',
    facts: [
      { field: 'needed_by', label: 'Needed by', before: 'needed by' },
      { field: 'fits', label: 'Mating part', before: 'fits' },
      {
        field: 'part.afterwards',
        label: 'When it is made',
        before: 'when made',
        empty: 'nothing',
        long: true,
      },
      { field: 'notes', label: 'Notes', before: 'notes', long: true },
    ],
  },
]
const shown = computed(() =>
  LINES.filter((line) => props.lines.includes(line.name) && line.facts.some(concerns)),
)
const choicesOf = (fact: Fact) =>
  fact.from === 'units' ? UNITS : fact.from ? (choices.value?.[fact.from] ?? []) : []
/** What stands where a job says nothing: the first choice, or the one named. */
const usualOf = (fact: Fact) => fact.usual ?? choicesOf(fact)[0]?.code ?? ''
</script>

<template>
  <div class="facts">
    <p v-for="line in shown" :key="line.name" class="line">
      <span class="name muted small">{{ line.name }}</span>
      <template v-for="fact in line.facts" :key="fact.field">
        <template v-if="concerns(fact)">
          <InlineChoice
            v-if="fact.from"
            :label="fact.label"
            :before="fact.before"
            :model-value="value(fact.field) || usualOf(fact)"
            :choices="choicesOf(fact)"
            :telling="fact.telling"
            :error="errors[fact.field]"
            :readonly="closed"
            @update:model-value="emit('set', fact.field, $event)"
            @commit="emit('commit')"
          />
          <InlineField
            v-else
            :label="fact.label"
            :before="fact.before"
            :after="typeof fact.after === 'function' ? fact.after() : fact.after"
            :figure="fact.figure"
            :long="fact.long"
            :placeholder="fact.field === 'method.blank_fraction' ? fraction : fact.empty"
            :model-value="value(fact.field)"
            :error="errors[fact.field]"
            :readonly="closed"
            @update:model-value="emit('set', fact.field, $event)"
            @commit="emit('commit')"
          />
        </template>
      </template>
    </p>
  </div>
</template>

<style scoped>
.facts {
  display: grid;
  gap: 2px;
}
.line {
  display: flex;
  flex-wrap: wrap;
  gap: 0 14px;
  align-items: baseline;
}
.name {
  flex: 0 0 52px;
  font-weight: 700;
}
</style>
