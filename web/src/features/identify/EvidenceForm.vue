<script setup lang="ts">
import { VCheckbox } from 'vuetify/components/VCheckbox'

import type { FieldError } from '@/shared/api/client'
import InlineChoice from '@/shared/controls/InlineChoice.vue'
import InlineField from '@/shared/controls/InlineField.vue'
import { useChoices } from '@/shared/api/useChoices'
import { type Evidence, INSTRUMENTS, type Instrument } from '@/features/identify/useIdentify'

/** Everything that may be known of a thread: measured, tried with a mate, read off, or remembered of its machine. */
const props = defineProps<{ evidence: Evidence; owned: Instrument[]; errors: FieldError[]; asked?: string }>()
const emit = defineEmits<{ change: [field: keyof Evidence, value: string]; own: [Instrument[]] }>()
const { data: choices } = useChoices()
const error = (field: string) => props.errors.find((e) => e.field === field)

const MEASURE: { field: keyof Evidence; label: string; before: string; hint: string }[] = [
  {
    field: 'outside',
    label: 'Major diameter over the crests',
    before: 'outside diameter',
    hint: 'e.g. 0.518',
  },
  { field: 'bore', label: 'Minor diameter (bore) of a nut', before: 'bore of a nut', hint: 'e.g. 0.43' },
  { field: 'tpi', label: 'Pitch gauge, threads per inch', before: 'pitch gauge, tpi', hint: 'e.g. 18' },
  { field: 'pitch', label: 'Pitch gauge, pitch', before: 'or pitch', hint: 'e.g. 1.25 mm' },
]
function own(code: Instrument, has: boolean) {
  emit('own', has ? [...props.owned, code] : props.owned.filter((o) => o !== code))
}
const pick = (field: keyof Evidence) => choices.value?.evidence[field] ?? []
</script>

<template>
  <form class="evidence" aria-label="What you know about the thread" @submit.prevent>
    <fieldset :class="{ asked: ['outside', 'leaf', 'counted', 'angle', 'taper'].includes(asked ?? '') }">
      <legend>Measure</legend>
      <p v-for="m in MEASURE" :key="m.field">
        <InlineField
          :label="m.label"
          :before="m.before"
          :placeholder="m.hint"
          :model-value="evidence[m.field]"
          :error="error(m.field)"
          figure
          @update:model-value="emit('change', m.field, $event)"
        />
      </p>
      <p v-if="evidence.tpi || evidence.pitch || evidence.fit">
        <InlineChoice
          label="Pitch gauge fit"
          before="the gauge"
          :model-value="evidence.fit"
          :choices="pick('fit')"
          :error="error('fit')"
          @update:model-value="emit('change', 'fit', $event)"
        />
      </p>
      <p class="pair">
        <InlineField
          label="Threads counted"
          before="threads counted"
          placeholder="e.g. 20"
          :model-value="evidence.count"
          :error="error('count')"
          figure
          @update:model-value="emit('change', 'count', $event)"
        />
        <InlineField
          label="Over a length of"
          before="over a length of"
          placeholder="e.g. 25.4 mm"
          :model-value="evidence.over"
          :error="error('over')"
          figure
          @update:model-value="emit('change', 'over', $event)"
        />
      </p>
      <p v-for="field in ['angle', 'taper', 'hand', 'worn'] as const" :key="field">
        <InlineChoice
          :label="{ angle: 'Flank angle', taper: 'Taper', hand: 'Hand', worn: 'Wear' }[field]"
          :before="{ angle: 'flank angle', taper: 'ends', hand: 'hand', worn: 'wear' }[field]"
          :model-value="evidence[field]"
          :choices="pick(field)"
          :error="error(field)"
          @update:model-value="emit('change', field, $event)"
        />
      </p>
    </fieldset>
    <fieldset :class="{ asked: asked === 'mate' }">
      <legend>Try a nut or bolt on it</legend>
      <p class="pair">
        <InlineField
          label="Thread of the nut or bolt you tried"
          before="nut or bolt"
          placeholder="e.g. 3/8-16"
          :model-value="evidence.mate"
          :error="error('mate')"
          figure
          @update:model-value="emit('change', 'mate', $event)"
        />
        <InlineChoice
          label="How it goes on"
          :model-value="evidence.goes"
          :choices="pick('goes')"
          :error="error('goes')"
          @update:model-value="emit('change', 'goes', $event)"
        />
      </p>
    </fieldset>
    <fieldset>
      <legend>Marking and origin</legend>
      <p>
        <InlineField
          label="Marking"
          before="marked"
          placeholder="e.g. BSF"
          :model-value="evidence.marking"
          :error="error('marking')"
          @update:model-value="emit('change', 'marking', $event)"
        />
      </p>
      <p v-for="field in ['origin', 'trade'] as const" :key="field">
        <InlineChoice
          :label="{ origin: 'Made in', trade: 'Used for' }[field]"
          :before="{ origin: 'made in', trade: 'used for' }[field]"
          :model-value="evidence[field]"
          :choices="pick(field)"
          @update:model-value="emit('change', field, $event)"
        />
      </p>
    </fieldset>
    <fieldset>
      <legend>Measuring tools you have</legend>
      <v-checkbox
        v-for="i in INSTRUMENTS"
        :key="i.code"
        :label="i.name"
        :model-value="owned.includes(i.code)"
        @update:model-value="own(i.code, $event === true)"
      />
    </fieldset>
  </form>
</template>

<style scoped>
.evidence {
  display: grid;
  gap: 12px;
  align-content: start;
}
fieldset {
  border: 0;
  border-left: 4px solid var(--line);
  margin: 0;
  padding: 0 0 0 12px;
  display: grid;
  gap: 4px;
}
fieldset.asked {
  border-left-color: var(--coral);
}
legend {
  font-weight: 700;
  padding: 0;
}
.pair {
  display: flex;
  flex-wrap: wrap;
  gap: 4px 12px;
}
</style>
