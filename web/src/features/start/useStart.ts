import { computed, ref, watch } from 'vue'

import {
  asProblem,
  ask,
  client,
  type FieldError,
  type JobDocument,
  type Schemas,
  type Unit,
} from '@/shared/api/client'
import { useLive } from '@/shared/api/useLive'
import { useUnits } from '@/shared/figures/useUnits'
import { useActs } from '@/shared/jobs/useActs'
import { habits } from '@/shared/jobs/useHabits'
import { useNarrow } from '@/shared/state/useScreen'
import { stored } from '@/shared/state/stored'

export type Beginning = Schemas['BeginningShown']
export type Ask = Schemas['Ask']
type Start = Schemas['Typed']['start']
type Field = Ask['field']
type Forced = Record<string, string>

const first = () => ({
  start: '' as Start | '',
  /** The unit of bare numbers, once somebody chose it; the thread's own until then. */
  unit: '' as Unit | '',
  sizes: {} as Partial<Record<Field, string>>,
  /** What a sample measured, by the size that was decided. */
  readings: {} as Partial<Record<Field, string>>,
  material: 'mild-steel',
  /** What was changed of the method and the lathe of the last job. */
  method: {} as Forced,
  setup: {} as Forced,
  /** Filled with the examples of its fields, not by the person. */
  example: false,
})
type Kept = ReturnType<typeof first>
const readable = (value: unknown): value is Kept =>
  typeof value === 'object' && value !== null && 'sizes' in value && 'readings' in value && 'setup' in value

/** A job that is being started: what is typed outlives the page, the sketch follows each keystroke. */
export function useStart(
  identified: () => JobDocument['identified'],
  /** How a thread usually ends in the shape that is chosen; empty where the last job decides. */
  finish: () => string,
) {
  const kept = stored<Kept>('start', first(), readable)
  const { unit: usual } = useUnits()
  const send = useActs()
  const narrow = useNarrow()
  const busy = ref(false)
  const trouble = ref('')
  /** What the server refused, by field, until that field is typed in again. */
  const refused = ref<Record<string, FieldError>>({})
  const focused = ref('')

  /** That in which the thread's standard is written. */
  const ofThread = ref<Unit | ''>('')
  const unit = computed<Unit>(() => kept.value.unit || ofThread.value || usual.value)
  const body = (): Schemas['StartIn'] => {
    const last = habits(unit.value)
    const { start, sizes, readings, material, method, setup } = kept.value
    return {
      typed: { ...sizes, readings, material, start: start || 'stud', unit: unit.value },
      method: { ...last.method, ...(finish() ? { finish: finish() } : {}), ...method },
      setup: { ...last.setup, ...setup },
      identified: identified(),
    }
  }
  const { found: sketch } = useLive(
    'sketch',
    () => (kept.value.start ? JSON.stringify([body(), narrow.value]) : null),
    () =>
      ask(client.POST('/api/jobs/new/sketch', { params: { query: { narrow: narrow.value } }, body: body() })),
  )
  watch(sketch, (now) => (ofThread.value = now?.unit ?? ofThread.value))

  function type(field: Field, text: string) {
    kept.value.sizes[field] = text
    delete refused.value[field]
  }
  /** Fills a form with the examples of its fields, for somebody who looks how it goes. */
  function fill(asks: Ask[]) {
    kept.value.unit = 'in'
    kept.value.example = true
    for (const ask of asks) kept.value.sizes[ask.field] = ask.empty ? '' : ask.inch
  }
  /** An example that was looked at is no start of one's own job. */
  function clearExample() {
    if (kept.value.example) kept.value = { ...first(), start: kept.value.start }
  }
  /** Takes the size that a reading was meant to be; the reading is kept beside it. */
  function decide(field: Field, size: string) {
    kept.value.readings[field] = kept.value.sizes[field] ?? ''
    type(field, size)
  }
  /** What is wrong with a field: told when one has left it, at once where something is offered. */
  function error(field: Field): FieldError | undefined {
    const now = sketch.value?.errors.find((one) => one.field === field)
    if (now?.choices.length) return now
    return refused.value[field] ?? (focused.value === field ? undefined : now)
  }
  async function start(): Promise<number | null> {
    busy.value = true
    trouble.value = ''
    try {
      const sent = body()
      const job = await send(['start', sent], (header) =>
        ask(client.POST('/api/jobs/new', { params: { header }, body: sent })),
      )
      kept.value = first()
      return job.id
    } catch (failed) {
      const problem = asProblem(failed)
      refused.value = Object.fromEntries(problem.errors.map((one) => [one.field, one]))
      trouble.value = problem.errors.length ? '' : problem.message
      return null
    } finally {
      busy.value = false
    }
  }
  watch(
    () => kept.value.start,
    () => (refused.value = {}),
  )
  return {
    kept,
    unit,
    sketch,
    busy,
    trouble,
    refused,
    focused,
    type,
    decide,
    fill,
    clearExample,
    error,
    start,
    /** The method and the lathe in force. */
    method: computed<Forced>(() => ({ ...sketch.value?.method, ...kept.value.method })),
    setup: computed<Forced>(() => ({ ...sketch.value?.setup, ...kept.value.setup })),
  }
}
