<script setup lang="ts">
import type { FieldError } from '@/shared/api/client'
import InlineChoice from '@/shared/controls/InlineChoice.vue'
import InlineField from '@/shared/controls/InlineField.vue'
import { type Evidence, INSTRUMENTS, type Instrument } from '@/features/identify/useIdentify'

/** Everything that may be known of a thread: measured, tried with a mate, read off, or remembered of its machine. */
const props = defineProps<{ evidence: Evidence; owned: Instrument[]; errors: FieldError[]; asked?: string }>()
const emit = defineEmits<{ change: [field: keyof Evidence, value: string]; own: [Instrument[]] }>()
const error = (field: string) => props.errors.find((e) => e.field === field)
const choice = (code: string, name: string) => ({ code, name, remark: '' })
const UNKNOWN = choice('', 'not known')
const CHOICES = {
  angle: [
    UNKNOWN,
    choice('60', '60° leaf fits'),
    choice('55', '55° leaf fits'),
    choice('47.5', '47½° leaf fits'),
  ],
  fit: [choice('', 'sits without light'), choice('nearly', 'only nearly fits')],
  taper: [UNKNOWN, choice('no', 'alike at both ends'), choice('yes', 'larger toward the shank')],
  hand: [UNKNOWN, choice('right', 'right'), choice('left', 'left')],
  goes: [
    UNKNOWN,
    choice('will-not-start', 'does not start'),
    choice('few-turns', 'binds after a few turns'),
    choice('all-the-way', 'goes all the way'),
    choice('loose', 'goes, loose'),
  ],
  worn: [choice('', 'somewhat'), choice('new', 'as new'), choice('badly', 'badly')],
  origin: [
    UNKNOWN,
    choice('american', 'American'),
    choice('british-old', 'British, before 1960 or so'),
    choice('british-new', 'British, later'),
    choice('european', 'European or Asian'),
  ],
  trade: [
    choice('', 'general'),
    choice('pipe', 'pipe work'),
    choice('instrument', 'instrument, electrical'),
    choice('bicycle', 'bicycle'),
    choice('model', 'model engineering'),
    choice('motor', 'motor'),
    choice('other', 'clock, sewing, hose, lamp, camera'),
  ],
} as const
type Chosen = keyof typeof CHOICES

const MEASURE: { field: keyof Evidence; label: string; before: string; hint: string }[] = [
  { field: 'outside', label: 'Outside, across the crests', before: 'outside', hint: '0.518' },
  { field: 'bore', label: 'Bore of a nut', before: 'bore', hint: 'of a nut' },
  { field: 'tpi', label: 'Pitch leaf, threads per inch', before: 'leaf', hint: 'per inch' },
  { field: 'pitch', label: 'Pitch leaf, as a length', before: 'or pitch', hint: '1.25 mm' },
]
function own(code: Instrument, has: boolean) {
  emit('own', has ? [...props.owned, code] : props.owned.filter((o) => o !== code))
}
const pick = (field: Chosen) => [...CHOICES[field]]
</script>

<template>
  <form class="evidence" aria-label="Evidence" @submit.prevent>
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
          label="How the leaf fits"
          before="the leaf"
          :model-value="evidence.fit"
          :choices="pick('fit')"
          :error="error('fit')"
          @update:model-value="emit('change', 'fit', $event)"
        />
      </p>
      <p class="pair">
        <InlineField
          label="Threads counted"
          before="counted"
          placeholder="20"
          :model-value="evidence.count"
          :error="error('count')"
          figure
          @update:model-value="emit('change', 'count', $event)"
        />
        <InlineField
          label="Over a length of"
          before="over"
          placeholder="25.4 mm"
          :model-value="evidence.over"
          :error="error('over')"
          figure
          @update:model-value="emit('change', 'over', $event)"
        />
      </p>
      <p v-for="field in ['angle', 'taper', 'hand', 'worn'] as const" :key="field">
        <InlineChoice
          :label="{ angle: 'Flank angle', taper: 'Taper', hand: 'Hand', worn: 'Worn' }[field]"
          :before="{ angle: 'flanks', taper: 'ends', hand: 'hand', worn: 'worn' }[field]"
          :model-value="evidence[field]"
          :choices="pick(field)"
          :error="error(field)"
          @update:model-value="emit('change', field, $event)"
        />
      </p>
    </fieldset>
    <fieldset :class="{ asked: asked === 'mate' }">
      <legend>Compare with a mate</legend>
      <p class="pair">
        <InlineField
          label="Thread of the mate tried"
          before="a"
          placeholder="3/8-16"
          :model-value="evidence.mate"
          :error="error('mate')"
          figure
          @update:model-value="emit('change', 'mate', $event)"
        />
        <InlineChoice
          label="How the mate goes"
          :model-value="evidence.goes"
          :choices="pick('goes')"
          :error="error('goes')"
          @update:model-value="emit('change', 'goes', $event)"
        />
      </p>
    </fieldset>
    <fieldset>
      <legend>Read a marking, know the machine</legend>
      <p>
        <InlineField
          label="Marking"
          before="marked"
          placeholder="8.8, BSF, NPT"
          :model-value="evidence.marking"
          :error="error('marking')"
          @update:model-value="emit('change', 'marking', $event)"
        />
      </p>
      <p v-for="field in ['origin', 'trade'] as const" :key="field">
        <InlineChoice
          :label="{ origin: 'Made where', trade: 'Kind of work' }[field]"
          :before="{ origin: 'made', trade: 'for' }[field]"
          :model-value="evidence[field]"
          :choices="pick(field)"
          @update:model-value="emit('change', field, $event)"
        />
      </p>
    </fieldset>
    <fieldset>
      <legend>To hand</legend>
      <label v-for="i in INSTRUMENTS" :key="i.code" class="own">
        <input
          type="checkbox"
          :checked="owned.includes(i.code)"
          @change="own(i.code, ($event.target as HTMLInputElement).checked)"
        />
        {{ i.name }}
      </label>
    </fieldset>
  </form>
</template>

<style scoped>
.evidence {
  display: grid;
  gap: 14px;
  align-content: start;
}
fieldset {
  border: 0;
  border-left: 4px solid var(--line);
  margin: 0;
  padding: 0 0 0 12px;
  display: grid;
  gap: 6px;
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
.own {
  display: flex;
  gap: 8px;
  align-items: center;
}
input[type='checkbox'] {
  accent-color: var(--lagoon);
  width: 18px;
  height: 18px;
}
</style>
