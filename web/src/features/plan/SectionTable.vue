<script setup lang="ts">
import { ref } from 'vue'

import type { FieldError, Plan } from '@/shared/api/client'
import InlineChoice from '@/shared/controls/InlineChoice.vue'
import InlineField from '@/shared/controls/InlineField.vue'
import SampleReading from '@/features/plan/SampleReading.vue'
import { moved, newId, section, type Section } from '@/shared/jobs/sections'
import { useChoices } from '@/shared/api/useChoices'
import { useUnits } from '@/shared/figures/useUnits'

/** The part from its Section 1 is at the right-hand (tailstock) end. Print it once above the list., section by section; what the drawing shows, in a table. */
const props = defineProps<{
  sections: Section[]
  plan: Plan
  jobUnit: 'in' | 'mm'
  errors: Record<string, FieldError>
  value: (field: string) => string
  closed: boolean
}>()
const emit = defineEmits<{ set: [field: string, value: unknown]; commit: [] }>()
const { data: choices } = useChoices()
const { text, told } = useUnits()

const SIZED = ['round', 'taper', 'hexagon', 'square', 'flats', 'knurl']
const MILLED = ['hexagon', 'square', 'flats']
const BEFORE: Record<string, string> = { round: 'diameter', knurl: 'diameter', taper: 'large-end diameter' }
const copying = ref(props.sections.some((s) => s.measured || s.measured_length))
const path = (at: number, field: string) => `part.sections.${at}.${field}`
const sizeField = (one: Section) => (one.shape === 'thread' ? 'thread' : 'across')
/** How long a section comes out that takes what the others leave; nothing for one with a length of its own. */
function rest(one: Section): string {
  const taken = props.plan.rest
  return taken && taken.section === one.id && !one.length ? told(taken.length).text : ''
}

function replace(sections: Section[]) {
  emit('set', 'part.sections', sections)
  emit('commit')
}
const ids = () => props.sections.map((s) => s.id ?? '')
const add = () => replace([...props.sections, section(newId('s', ids()), 'round')])
const drop = (at: number) => replace(props.sections.filter((_, n) => n !== at))
const shift = (at: number, by: number) => replace(moved(props.sections, at, by))
function decide(at: number, field: string, chosen: string) {
  emit('set', path(at, field), chosen)
  emit('commit')
}
const edit = (at: number, field: string) => ({
  modelValue: props.value(path(at, field)),
  error: props.errors[path(at, field)],
  readonly: props.closed,
  'onUpdate:modelValue': (typed: string) => emit('set', path(at, field), typed),
  onCommit: () => emit('commit'),
})
</script>

<template>
  <section class="sections" aria-label="Sections of the part">
    <p class="muted small">Section 1 is at the right-hand (tailstock) end.</p>
    <ol>
      <li v-for="(one, at) in sections" :key="one.id" :aria-label="`Section ${at + 1}`">
        <span class="n fig">{{ at + 1 }}</span>
        <InlineChoice
          :label="`Section ${at + 1}, shape`"
          :choices="choices?.shapes ?? []"
          v-bind="edit(at, 'shape')"
        />
        <InlineField
          v-if="one.shape === 'thread'"
          :label="`Section ${at + 1}, thread`"
          figure
          placeholder="e.g. 3/8-16"
          v-bind="edit(at, 'thread')"
        />
        <InlineField
          v-else-if="SIZED.includes(one.shape)"
          :label="`Section ${at + 1}, diameter`"
          :before="BEFORE[one.shape] ?? 'across flats'"
          figure
          :placeholder="one.shape === 'taper' ? 'from the taper name' : 'size'"
          v-bind="edit(at, 'across')"
        />
        <span v-else class="muted">{{ value('part.stock.across') }}</span>
        <InlineField
          :label="`Section ${at + 1}, length`"
          :before="rest(one) ? 'length: the rest,' : 'length'"
          figure
          :after="rest(one)"
          :placeholder="rest(one) ? 'the rest' : 'size'"
          v-bind="edit(at, 'length')"
        />
        <InlineField
          v-if="one.shape !== 'thread'"
          :label="`Section ${at + 1}, chamfer`"
          before="chamfer"
          figure
          placeholder="no chamfer"
          v-bind="edit(at, 'chamfer')"
        />
        <InlineChoice
          v-else
          :label="`Section ${at + 1}, cut by`"
          :choices="choices?.outside_cutters ?? []"
          v-bind="edit(at, 'cut')"
          :model-value="value(path(at, 'cut')) || 'die'"
        />
        <span v-if="!closed" class="tools">
          <plain-btn
            :disabled="at === 0"
            :aria-label="`Move section ${at + 1} toward the tailstock`"
            @click="shift(at, -1)"
          >
            ↑
          </plain-btn>
          <plain-btn
            :disabled="at === sections.length - 1"
            :aria-label="`Move section ${at + 1} toward the chuck`"
            @click="shift(at, 1)"
          >
            ↓
          </plain-btn>
          <plain-btn
            :disabled="sections.length === 1"
            :aria-label="`Remove section ${at + 1}`"
            @click="drop(at)"
          >
            ✕
          </plain-btn>
        </span>
        <div v-if="one.shape === 'thread'" class="copied">
          <InlineChoice
            :label="`Section ${at + 1}, its length is`"
            before="length is"
            :choices="choices?.thread_runs ?? []"
            v-bind="edit(at, 'runs')"
            :model-value="value(path(at, 'runs')) || 'shoulder'"
          />
        </div>
        <div v-if="one.chamfer && (one.shape === 'round' || one.shape === 'knurl')" class="copied">
          <InlineChoice
            :label="`Section ${at + 1}, edge`"
            before="edge"
            :choices="choices?.edges_broken ?? []"
            v-bind="edit(at, 'edge')"
            :model-value="value(path(at, 'edge')) || 'bevel'"
          />
        </div>
        <div v-if="one.shape === 'round'" class="copied">
          <InlineChoice
            :label="`Section ${at + 1}, fit`"
            :choices="choices?.fits ?? []"
            v-bind="edit(at, 'fit')"
          />
          <InlineField
            v-if="one.fit"
            :label="`Section ${at + 1}, mating part measures`"
            before="mating part measures"
            figure
            placeholder="not measured"
            v-bind="edit(at, 'mate')"
          />
          <InlineField
            :label="`Section ${at + 1}, key`"
            before="key size"
            figure
            placeholder="no keyway"
            v-bind="edit(at, 'key')"
          />
          <InlineField
            v-if="one.key"
            :label="`Section ${at + 1}, keyway length`"
            before="keyway length"
            figure
            placeholder="full length"
            v-bind="edit(at, 'key_length')"
          />
        </div>
        <div v-if="one.shape === 'knurl'" class="copied">
          <InlineChoice
            :label="`Section ${at + 1}, pattern`"
            :choices="choices?.patterns ?? []"
            v-bind="edit(at, 'pattern')"
            :model-value="value(path(at, 'pattern')) || 'diamond'"
          />
          <InlineField
            :label="`Section ${at + 1}, pitch`"
            before="pitch"
            figure
            placeholder="e.g. 1 mm"
            v-bind="edit(at, 'pitch')"
          />
        </div>
        <div v-if="MILLED.includes(one.shape)" class="copied">
          <InlineField
            :label="`Section ${at + 1}, milled on a round of`"
            before="milled on a round of"
            figure
            placeholder="the largest"
            v-bind="edit(at, 'round')"
          />
        </div>
        <div v-if="one.shape === 'taper'" class="copied">
          <InlineField
            :label="`Section ${at + 1}, taper`"
            before="taper"
            figure
            placeholder="e.g. MT2, 1:20, 60°"
            v-bind="edit(at, 'taper')"
          />
        </div>
        <div v-if="copying" class="copied">
          <SampleReading
            v-if="one.shape !== 'bar'"
            :label="`Section ${at + 1}, sample diameter`"
            before="sample measures"
            :of="one.shape === 'thread' ? 'thread' : 'across'"
            :job-unit="jobUnit"
            :decided="value(path(at, sizeField(one)))"
            v-bind="edit(at, 'measured')"
            @pick="decide(at, sizeField(one), $event)"
          />
          <SampleReading
            :label="`Section ${at + 1}, sample length`"
            before="sample length"
            of="length"
            :job-unit="jobUnit"
            :decided="value(path(at, 'length'))"
            v-bind="edit(at, 'measured_length')"
            @pick="decide(at, 'length', $event)"
          />
        </div>
      </li>
    </ol>
    <p class="whole">
      <plain-btn v-if="!closed" @click="add">Add a section</plain-btn>
      <plain-btn :aria-pressed="copying" @click="copying = !copying">
        {{ copying ? 'Hide sample readings' : 'Copy a worn sample' }}
      </plain-btn>
      <span>
        <InlineField
          label="Overall length"
          before="overall length"
          figure
          placeholder="sum of the sections"
          :model-value="value('part.overall_length')"
          :error="errors['part.overall_length'] ?? errors['part.sections']"
          :readonly="closed"
          @update:model-value="emit('set', 'part.overall_length', $event)"
          @commit="emit('commit')"
        />
        <span class="muted small">the sections add up to {{ text(plan.overall) }}</span>
      </span>
    </p>
  </section>
</template>

<style scoped>
.sections {
  display: grid;
  gap: 4px;
}
li {
  display: grid;
  grid-template-columns: 18px 140px minmax(120px, 1.2fr) minmax(136px, 1fr) minmax(124px, 1fr) auto;
  gap: 4px 12px;
  align-items: baseline;
  padding: 4px 0;
  border-bottom: 1px solid var(--line);
}
.n {
  color: var(--muted);
  text-align: right;
}
.copied {
  grid-column: 2 / -1;
  display: flex;
  flex-wrap: wrap;
  gap: 4px 32px;
}
.tools {
  white-space: nowrap;
}
.whole {
  display: flex;
  flex-wrap: wrap;
  gap: 4px 24px;
  align-items: baseline;
}
@media (max-width: 900px) {
  li {
    grid-template-columns: 18px minmax(0, 1fr) minmax(0, 1fr) auto;
  }
  /* The length begins a second row, clear of the narrow column of numbers. */
  li > :nth-child(4) {
    grid-column: 2;
  }
  li > .tools {
    grid-row: 1;
    grid-column: 4;
  }
}
@media (max-width: 500px) {
  li {
    grid-template-columns: 18px minmax(0, 6fr) minmax(0, 5fr);
  }
  li > .tools {
    grid-row: auto;
    grid-column: 3;
    justify-self: end;
  }
}
</style>
