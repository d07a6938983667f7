<script setup lang="ts">
import { computed, ref } from 'vue'
import { useActs } from '@/shared/jobs/useActs'
import { useRouter } from 'vue-router'
import { VSelect } from 'vuetify/components/VSelect'

import { asProblem, ask, client, type FieldError } from '@/shared/api/client'
import FigureRow from '@/shared/figures/FigureRow.vue'
import { named } from '@/shared/figures/labelled'
import StartField from '@/features/start/StartField.vue'
import { stored } from '@/shared/state/stored'
import { useChoices } from '@/shared/api/useChoices'
import { habits } from '@/shared/jobs/useHabits'
import { useLive } from '@/shared/api/useLive'
import { useNarrow } from '@/shared/state/useScreen'
import PartDrawing from '@/shared/drawing/PartDrawing.vue'
import { useUnits } from '@/shared/figures/useUnits'
import BusyButton from '@/shared/controls/BusyButton.vue'
import FittersOnly from '@/shared/controls/FittersOnly.vue'

/** A worn end cut off, tapped and given a stud with its nut: one job of three parts, worked out as one types. */
const emit = defineEmits<{ close: [] }>()
const router = useRouter()
const { unit } = useUnits()
const { data: choices } = useChoices()

const FIRST = {
  title: '',
  across: '',
  thread: '',
  metal: 'mild-steel',
  stud_metal: 'mild-steel',
  clamped: '',
  washer: '',
  nut: '',
  out: '',
  engaged: '',
}
type Key = keyof typeof FIRST
/** Typed text outlives a closed form and a lost server. */
const kept = stored('repair', FIRST, (value): value is typeof FIRST => typeof value === 'object' && !!value)
const typed = ref({ ...FIRST, ...kept.value })
const narrow = useNarrow()
const busy = ref(false)
const refused = ref<FieldError[]>([])
const trouble = ref('')

const asked = computed(() => ({ ...typed.value, unit: unit.value, ...habits(unit.value) }))
const { found, problem } = useLive(
  'repair',
  () => (typed.value.across.trim() && typed.value.thread.trim() ? asked.value : null),
  (body) => ask(client.POST('/api/jobs/stud-repair', { body })),
)
const { found: sketch } = useLive(
  'repair-sketch',
  () => JSON.stringify([asked.value, narrow.value]),
  () =>
    ask(
      client.POST('/api/jobs/stud-repair/sketch', {
        params: { query: { narrow: narrow.value } },
        body: asked.value,
      }),
    ),
)
const figures = computed(() => (found.value?.figures ?? []).map(named))

const FIELDS = computed<{ key: Key; label: string; hint?: string; wide?: boolean }[]>(() => [
  { key: 'title', label: 'Name of the job', hint: 'e.g. winding spindle', wide: true },
  {
    key: 'across',
    label: `Worn part, diameter, ${unit.value}`,
    hint: unit.value === 'in' ? 'e.g. 1-1/8' : 'e.g. 28',
  },
  { key: 'thread', label: 'Stud thread', hint: 'e.g. 1/2 BSF, M12' },
  { key: 'clamped', label: `Face to washer, ${unit.value}`, hint: 'blank: 0' },
  { key: 'washer', label: `Washer thickness, ${unit.value}`, hint: 'blank: no washer' },
  { key: 'nut', label: `Nut thickness, ${unit.value}`, hint: 'blank: standard nut' },
  {
    key: 'out',
    label: `Thread past nut, ${unit.value}`,
    hint: choices.value?.empty['repair.out'],
  },
  {
    key: 'engaged',
    label: `Thread engaged, ${unit.value}`,
    hint: 'blank: by strength',
  },
])
const METALS: { key: 'metal' | 'stud_metal'; label: string }[] = [
  { key: 'metal', label: 'Part material' },
  { key: 'stud_metal', label: 'Stud and nut' },
]
const send = useActs()
const remember = () => (kept.value = { ...typed.value })

async function start() {
  busy.value = true
  refused.value = []
  trouble.value = ''
  try {
    const { document } = await ask(client.POST('/api/jobs/stud-repair', { body: asked.value }))
    const job = await send(['start', document], (header) =>
      ask(client.POST('/api/jobs', { params: { header }, body: document })),
    )
    kept.value = FIRST
    await router.push({ name: 'plan', params: { id: job.id } })
  } catch (error) {
    problem.value = asProblem(error)
    // What no field here can show is told under the form.
    refused.value = problem.value.errors.filter((one) => !(one.field in FIRST))
    trouble.value = problem.value.errors.length ? '' : problem.value.message
  } finally {
    busy.value = false
  }
}
</script>

<template>
  <form class="new" aria-label="Stud repair" novalidate @submit.prevent="start">
    <p class="muted told">
      Cut off the worn end. Drill and tap what is left. Screw in a stud with retaining compound, and make a
      nut for it. This makes one job of three parts: body, nut and stud.
    </p>
    <figure class="sheet">
      <PartDrawing v-if="sketch?.drawing" :sheet="sketch.drawing" fixed />
      <figcaption v-if="sketch && sketch.assumed.length" class="muted small">
        Drawn with usual sizes until yours are typed.
      </figcaption>
      <div v-if="figures.length"><FigureRow :figures="figures" /></div>
    </figure>
    <div class="fields">
      <StartField
        v-for="field in FIELDS"
        :key="field.key"
        v-model="typed[field.key]"
        :class="{ wide: field.wide }"
        :label="field.label"
        :hint="field.hint"
        :error="problem?.of(field.key)"
        :first="field.key === 'title'"
        @update:model-value="remember"
      />
      <v-select
        v-for="metal in METALS"
        :key="metal.key"
        v-model="typed[metal.key]"
        :label="metal.label"
        :items="choices?.materials ?? []"
        item-title="name"
        item-value="code"
        @update:model-value="remember"
      />
    </div>
    <p v-for="one in refused" :key="one.field + one.message" class="field-error" role="alert">
      {{ one.message }}
    </p>
    <p v-if="trouble" class="field-error" role="alert">{{ trouble }}</p>
    <p class="act">
      <FittersOnly>
        <BusyButton type="submit" color="secondary" :busy="busy">Show the plan</BusyButton>
      </FittersOnly>
      <plain-btn @click="emit('close')">Cancel</plain-btn>
    </p>
  </form>
</template>

<style scoped src="./repair.css"></style>
