<script setup lang="ts">
import { computed, ref } from 'vue'
import { VSelect } from 'vuetify/components/VSelect'
import { VTextField } from 'vuetify/components/VTextField'

import { useMachines } from '@/shared/jobs/useMachines'
import type { Schemas } from '@/shared/api/client'

/** Metal, shoulder, die and lathe that are in force: the last job's, or the usual ones; a press opens them. */
const props = defineProps<{
  choices: Schemas['Choices']
  material: string
  method: Record<string, string>
  setup: Record<string, string>
  shoulder: boolean
  unit: string
}>()
const emit = defineEmits<{
  material: [code: string]
  method: [field: string, value: string]
  setup: [field: string, value: string]
}>()
const open = ref(false)

type List = Exclude<keyof Schemas['Choices'], 'evidence' | 'gauges' | 'usual' | 'empty'>
const named = (list: List, code: string | undefined) =>
  props.choices[list].find((one) => one.code === code)?.name ?? ''
/** The lathes of the shop, and the one that is named: it tells its own facts. */
const machines = useMachines()
const own = computed(() => machines.value.find((one) => one.code !== '' && one.code === props.setup.machine))
const words = computed(() =>
  [
    {
      name: 'Thread end at the shoulder',
      value: props.shoulder ? named('finishes', props.method.finish) : '',
    },
    { name: 'Die held in', value: props.shoulder ? named('holders', props.method.holder) : '' },
    { name: 'Lathe', value: own.value?.name ?? named('lathes', props.setup.lathe) },
    { name: 'Dial', value: own.value ? '' : named('dials', props.setup.dial) },
    {
      name: 'Blades',
      value: `grooving ${props.setup.groove_blade ?? ''}, parting ${props.setup.parting_blade ?? ''} (${props.unit})`,
    },
  ].filter((one) => one.value),
)
interface Line {
  field: string
  label: string
  list?: List | 'machines'
  of: 'method' | 'setup'
}
const LINES = computed<Line[]>(() => [
  ...(props.shoulder
    ? ([
        { field: 'finish', label: 'Thread end at the shoulder', list: 'finishes', of: 'method' },
        { field: 'holder', label: 'Die held in', list: 'holders', of: 'method' },
      ] as const)
    : ([{ field: 'tapping', label: 'Tapping method', list: 'tappings', of: 'method' }] as const)),
  ...(machines.value.length > 1
    ? ([{ field: 'machine', label: 'Lathe', list: 'machines', of: 'setup' }] as const)
    : []),
  ...(own.value
    ? []
    : ([
        { field: 'lathe', label: 'Size of lathe', list: 'lathes', of: 'setup' },
        { field: 'dial', label: 'Cross-slide dial', list: 'dials', of: 'setup' },
        { field: 'readout', label: 'Readout along the bed', list: 'readouts', of: 'setup' },
      ] as const)),
  { field: 'groove_blade', label: `Grooving blade, width (${props.unit})`, of: 'setup' },
  { field: 'parting_blade', label: `Parting blade, width (${props.unit})`, of: 'setup' },
])
const listed = (list: List | 'machines') => (list === 'machines' ? machines.value : props.choices[list])
const value = (line: Line) => (line.of === 'method' ? props.method : props.setup)[line.field] ?? ''
function set(line: Line, to: unknown) {
  if (line.of === 'method') emit('method', line.field, String(to))
  else emit('setup', line.field, String(to))
}
</script>

<template>
  <div class="force">
    <v-select
      label="Material"
      :items="choices.materials"
      item-title="name"
      item-value="code"
      :model-value="material"
      @update:model-value="emit('material', String($event))"
    />
    <p v-if="!open" class="words small">
      <template v-for="one in words" :key="one.name">
        <span class="pair"
          ><b>{{ one.name }}</b> {{ one.value }}</span
        >
      </template>
      <plain-btn @click="open = true">Change method and lathe</plain-btn>
    </p>
    <div v-else class="lines">
      <template v-for="line in LINES" :key="line.field">
        <v-select
          v-if="line.list"
          :label="line.label"
          :items="listed(line.list)"
          item-title="name"
          item-value="code"
          :model-value="value(line)"
          @update:model-value="set(line, $event)"
        />
        <v-text-field
          v-else
          :label="line.label"
          :model-value="value(line)"
          autocomplete="off"
          @update:model-value="set(line, $event)"
        />
      </template>
    </div>
  </div>
</template>

<style scoped>
.force {
  display: grid;
  gap: 12px;
}
.words {
  display: flex;
  flex-wrap: wrap;
  gap: 4px 16px;
  align-items: baseline;
}
.lines {
  display: grid;
  grid-template-columns: repeat(auto-fit, minmax(180px, 1fr));
  gap: 12px;
}
</style>
