<script setup lang="ts">
import { computed, onMounted, ref } from 'vue'
import { useRouter } from 'vue-router'

import { asProblem, ask, client, type FieldError, type JobDocument } from '@/api/client'
import { stored } from '@/composables/stored'
import { useChoices } from '@/composables/useChoices'
import { useUnits } from '@/composables/useUnits'

/** The few things a job cannot start without; the rest is on the plan, edited in place. */
const props = defineProps<{ thread?: string; identified?: string }>()
const emit = defineEmits<{ close: [] }>()

const router = useRouter()
const { unit } = useUnits()
const { data: choices } = useChoices()

const isText = (v: unknown): v is string => typeof v === 'string'
/** Typed text outlives a closed form and a lost server. */
const kept = stored('newjob', '', isText)
const first: Record<string, string> = {
  title: '',
  thread: '',
  quantity: '',
  material: 'mild-steel',
  stock: '',
  threaded: '',
  overall: '',
  finish: 'groove',
}
const typed = ref({ ...first, ...(kept.value ? (JSON.parse(kept.value) as typeof first) : {}) })
const errors = ref<Record<string, FieldError>>({})
const trouble = ref('')
const busy = ref(false)

const fields = computed(() => [
  { key: 'title', path: 'title', label: 'What is it, in words', wide: true },
  { key: 'thread', path: 'part.thread', label: 'Thread', hint: '3/8-16, M8x1, 1/4 bsw' },
  { key: 'quantity', path: 'quantity', label: 'How many' },
  {
    key: 'stock',
    path: 'part.stock_diameter',
    label: `Bar diameter, ${unit.value}`,
    hint: '5/8, .625, 16 mm',
  },
  { key: 'threaded', path: 'part.thread_length', label: `Thread length, ${unit.value}` },
  { key: 'overall', path: 'part.overall_length', label: `Overall length, ${unit.value}` },
])

onMounted(() => {
  if (props.thread) typed.value.thread = props.thread
})

/** How the thread was identified, as long as it is still that thread. */
function identification(): JobDocument['identified'] {
  if (!props.identified || typed.value.thread !== props.thread) return undefined
  try {
    return JSON.parse(props.identified) as JobDocument['identified']
  } catch {
    return undefined
  }
}

function document(): JobDocument {
  const t = typed.value as Record<string, string>
  const mm = unit.value === 'mm'
  return {
    format: 'conch-job',
    version: 1,
    title: t.title ?? '',
    needed_by: '',
    fits: '',
    quantity: t.quantity ?? '',
    unit: unit.value,
    material: t.material ?? '',
    pressure: false,
    part: {
      kind: 'stud',
      thread: t.thread ?? '',
      stock_diameter: t.stock ?? '',
      thread_length: t.threaded ?? '',
      overall_length: t.overall ?? '',
      shank_diameter: '',
      shank_length: '',
    },
    method: {
      blank_school: 'pitch-fraction',
      blank_fraction: '',
      finish: t.finish ?? 'groove',
      drive: 'hand',
    },
    setup: {
      dial: 'diameter',
      groove_blade: mm ? '3' : '1/8',
      groove_edge: 'left',
      parting_blade: mm ? '2.5' : '3/32',
      parting_edge: 'left',
    },
    notes: '',
    identified: identification(),
  }
}

function remember() {
  kept.value = JSON.stringify(typed.value)
}

async function start() {
  busy.value = true
  trouble.value = ''
  try {
    const job = await ask(client.POST('/api/jobs', { body: document() }))
    kept.value = ''
    await router.push({ name: 'plan', params: { id: job.id } })
  } catch (error) {
    const problem = asProblem(error)
    errors.value = Object.fromEntries(problem.errors.map((e) => [e.field, e]))
    // What no field here can show is told under the form.
    const beside = [...fields.value.map((f) => f.path), 'method.finish']
    trouble.value = problem.errors.length
      ? problem.errors
          .filter((e) => !beside.includes(e.field))
          .map((e) => e.message)
          .join(' ')
      : problem.message
  } finally {
    busy.value = false
  }
}
</script>

<template>
  <form class="new" aria-label="Start a job" novalidate @submit.prevent="start" @input="remember">
    <div class="fields">
      <div v-for="field in fields" :key="field.key" :class="{ wide: field.wide }">
        <v-text-field
          v-model="typed[field.key]"
          :label="field.label"
          :placeholder="field.hint"
          :error-messages="errors[field.path]?.message"
          autocomplete="off"
          :autofocus="field.key === 'title'"
        />
        <p v-if="errors[field.path]?.choices.length" class="choices">
          <button
            v-for="choice in errors[field.path]?.choices.slice(0, 6)"
            :key="choice"
            type="button"
            class="plain fig"
            @click="typed[field.key] = choice"
          >
            {{ choice }}
          </button>
        </p>
      </div>
      <label class="metal">
        <span class="small muted">Metal</span>
        <select v-model="typed.material" @change="remember">
          <option v-for="metal in choices?.materials" :key="metal.code" :value="metal.code">
            {{ metal.name }}
          </option>
        </select>
      </label>
      <label class="metal">
        <span class="small muted">At the shoulder</span>
        <select v-model="typed.finish" @change="remember">
          <option v-for="finish in choices?.finishes" :key="finish.code" :value="finish.code">
            {{ finish.name }}
          </option>
        </select>
        <span v-if="errors['method.finish']" class="field-error" role="alert">{{
          errors['method.finish'].message
        }}</span>
      </label>
    </div>
    <p v-if="trouble" class="field-error" role="alert">{{ trouble }}</p>
    <p class="act">
      <v-btn type="submit" color="secondary" :loading="busy">Start the job</v-btn>
      <button type="button" class="plain" @click="emit('close')">Not now</button>
      <span class="muted small">A plain stud; change anything on its plan.</span>
    </p>
  </form>
</template>

<style scoped>
.new {
  border: 1px solid var(--line);
  border-radius: var(--round);
  background: var(--surface);
  padding: 18px 20px;
  margin: 14px 0;
}
.fields {
  display: grid;
  grid-template-columns: repeat(auto-fit, minmax(200px, 1fr));
  gap: 14px;
}
.wide {
  grid-column: span 2;
}
.metal {
  display: grid;
  align-content: start;
}
select {
  font: inherit;
  color: inherit;
  background: var(--surface);
  border: 0;
  border-bottom: 2px dotted var(--line);
  padding: 6px 2px;
}
.act {
  display: flex;
  gap: 16px;
  align-items: center;
  margin-top: 16px;
  flex-wrap: wrap;
}
@media (max-width: 520px) {
  .wide {
    grid-column: auto;
  }
}
</style>
