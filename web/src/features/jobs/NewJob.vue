<script setup lang="ts">
import { computed, onMounted, ref } from 'vue'
import { useRouter } from 'vue-router'

import { asProblem, ask, client, type FieldError, type JobDocument, type Schemas } from '@/shared/api/client'
import StartField from '@/features/jobs/StartField.vue'
import { stored } from '@/shared/state/stored'
import { useActs } from '@/shared/jobs/useActs'
import { useChoices } from '@/shared/api/useChoices'
import { habits } from '@/shared/jobs/useHabits'
import { useSize } from '@/shared/api/useSize'
import { useUnits } from '@/shared/figures/useUnits'

/** The few things a job cannot start without; the rest is on the plan, edited in place. */
const props = defineProps<{ thread?: string; identified?: string }>()
const emit = defineEmits<{ close: [] }>()

const router = useRouter()
const send = useActs()
const { unit } = useUnits()
const { data: choices } = useChoices()

const isText = (v: unknown): v is string => typeof v === 'string'
/** Typed text outlives a closed form and a lost server. */
const kept = stored('newjob', '', isText)
const first = {
  title: '',
  thread: '',
  quantity: '',
  material: 'mild-steel',
  start: 'stud',
  stock: '',
  threaded: '',
  shank: '',
  shank_length: '',
  flats: '',
  overall: '',
  finish: '',
}
const typed = ref({ ...first, ...(kept.value ? (JSON.parse(kept.value) as typeof first) : {}) })
const errors = ref<Record<string, FieldError>>({})
const trouble = ref('')
const busy = ref(false)

interface Field {
  key: keyof typeof first
  label: string
  hint?: string
  wide?: boolean
  /** The start that has it; every one when absent. */
  only?: string
}
/** A screw's length typed behind its thread: whose it is, only the person knows. */
const threadTyped = computed(() => typed.value.thread)
const { size } = useSize(threadTyped)
const length = computed(() => size.value?.length ?? '')
function takeLength(key: 'threaded' | 'overall') {
  if (!size.value) return
  typed.value[key] = length.value
  typed.value.thread = size.value.designation
  remember()
}
const nut = computed(() => typed.value.start === 'nut')
/** How shoulders were reached in the last job, or the first of the ways. */
const usualFinish = computed(() => habits(unit.value).method?.finish ?? choices.value?.finishes[0]?.code)
const FIELDS = computed<Field[]>(() => [
  { key: 'title', label: 'What is it, in words', wide: true },
  { key: 'thread', label: 'Thread', hint: '3/8-16, M8x1, 1/4 bsw' },
  { key: 'quantity', label: 'How many' },
  {
    key: 'stock',
    label: `${nut.value ? 'Bar across flats' : 'Bar diameter'}, ${unit.value}`,
    hint: '5/8, .625, 16 mm',
  },
  {
    key: 'threaded',
    label: `${nut.value ? 'Thread depth' : 'Thread length'}, ${unit.value}`,
    hint: nut.value ? 'empty: through' : undefined,
  },
  { key: 'shank', label: `Shank diameter, ${unit.value}`, only: 'screw' },
  { key: 'shank_length', label: `Shank length, ${unit.value}`, only: 'screw' },
  { key: 'flats', label: `Across the flats, ${unit.value}`, only: 'plug' },
  { key: 'overall', label: `Overall length, ${unit.value}` },
])
const fields = computed(() => FIELDS.value.filter((f) => !f.only || f.only === typed.value.start))

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

/** What was typed, and how the last job was made; the program makes the document of it. */
const asked = (): Schemas['StartIn'] => ({
  ...typed.value,
  // One of the starts that the program named.
  start: typed.value.start as Schemas['StartIn']['start'],
  unit: unit.value,
  ...habits(unit.value),
  identified: identification(),
})

function remember() {
  kept.value = JSON.stringify(typed.value)
}

async function start() {
  busy.value = true
  trouble.value = ''
  try {
    const body = asked()
    const job = await send(['start', body], (header) =>
      ask(client.POST('/api/jobs/new', { params: { header }, body })),
    )
    kept.value = ''
    await router.push({ name: 'plan', params: { id: job.id } })
  } catch (error) {
    const problem = asProblem(error)
    const shown = (field: string) => field in first
    errors.value = Object.fromEntries(
      problem.errors.filter((e) => shown(e.field)).map((e) => [e.field, e] as const),
    )
    // What no field here can show is told under the form.
    trouble.value = problem.errors.length
      ? problem.errors
          .filter((e) => !shown(e.field))
          .map((e) => e.message)
          .join(' ')
      : problem.message
  } finally {
    busy.value = false
  }
}
</script>

<template>
  <form class="new" aria-label="Start a job" novalidate @submit.prevent="start">
    <div class="fields">
      <label class="metal wide">
        <span class="small muted">Shape</span>
        <select v-model="typed.start" @change="remember">
          <option v-for="one in choices?.starts" :key="one.code" :value="one.code">{{ one.name }}</option>
        </select>
      </label>
      <StartField
        v-for="field in fields"
        :key="field.key"
        v-model="typed[field.key]"
        :class="{ wide: field.wide }"
        :label="field.label"
        :hint="field.hint"
        :error="errors[field.key]"
        :first="field.key === 'title'"
        @update:model-value="remember"
      />
      <label class="metal">
        <span class="small muted">Metal</span>
        <select v-model="typed.material" @change="remember">
          <option v-for="metal in choices?.materials" :key="metal.code" :value="metal.code">
            {{ metal.name }}
          </option>
        </select>
      </label>
      <label v-if="!nut" class="metal">
        <span class="small muted">At the shoulder</span>
        <select
          :value="typed.finish || usualFinish"
          @change="((typed.finish = ($event.target as HTMLSelectElement).value), remember())"
        >
          <option v-for="finish in choices?.finishes" :key="finish.code" :value="finish.code">
            {{ finish.name }}
          </option>
        </select>
        <span v-if="errors.finish" class="field-error" role="alert">{{ errors.finish.message }}</span>
      </label>
    </div>
    <p v-if="length" class="whose">
      {{ length }} behind the thread is the length of
      <button type="button" class="plain" @click="takeLength('threaded')">the thread</button> or
      <button type="button" class="plain" @click="takeLength('overall')">the whole screw</button>?
    </p>
    <p v-if="trouble" class="field-error" role="alert">{{ trouble }}</p>
    <p class="act">
      <v-btn type="submit" color="secondary" :loading="busy">Start the job</v-btn>
      <button type="button" class="plain" @click="emit('close')">Not now</button>
      <span class="muted small">Lathe and method as in your last job; change anything on its plan.</span>
    </p>
  </form>
</template>

<style scoped src="./start.css"></style>
