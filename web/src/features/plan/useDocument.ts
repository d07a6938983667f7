import { computed, ref, shallowRef, toRaw, watch } from 'vue'

import {
  asProblem,
  ask,
  client,
  type FieldError,
  type Job,
  type JobDocument,
  type Plan,
  Problem,
} from '@/shared/api/client'
import { changeName, differences } from '@/features/plan/changes'
import { readField, writeField } from '@/features/plan/fields'
import { type Clash, merge } from '@/features/plan/merge'
import { namesOf, ownerOf, pathOf } from '@/features/plan/parts'
import { useMe } from '@/shared/api/useMe'
import { useAnswer } from '@/shared/api/useAnswer'
import { useActs } from '@/shared/jobs/useActs'
import { remember } from '@/shared/jobs/useHabits'
import { useNarrow } from '@/shared/state/useScreen'
import { useChanged } from '@/shared/api/useNews'
import { useReturn } from '@/shared/state/useReturn'

/** Errors of the job or of its list of parts have no field to stand beside. */
const HOMELESS = ['', 'job', 'others']
const kept = (id: number) => `conch.draft.${id}`
interface Begun {
  base: JobDocument
  draft: JobDocument
  clashes: Clash[]
}
/** What an earlier visit kept; one of an earlier version kept the document alone. */
const begunOf = (left: Begun | JobDocument, now: JobDocument): Begun =>
  'draft' in left ? left : { base: now, draft: left, clashes: [] }

/**
 * A job's document while it is edited: the plan follows each keystroke, a commit stores it, nothing typed is lost.
 * Fields are those of the part number `asked` for, from 1, or the last there is; `wrong` holds every error by its path in the document.
 */
export function useDocument(id: number, asked: () => number) {
  const job = useAnswer<Job>('job', id)
  const plan = useAnswer<Plan>('plan', id)
  const draft = ref<JobDocument | null>(null)
  const wrong = ref<Record<string, FieldError>>({})
  const part = computed(() => Math.min(asked(), 1 + (draft.value?.others?.length ?? asked())))
  const trouble = ref('')
  const dirty = ref(false)
  /** What was changed here and elsewhere, until it is settled: nothing is stored before that. */
  const clashes = ref<Clash[]>([])
  const missing = ref(false)
  /** No job has as many parts as were asked for. */
  const unplaced = ref(false)
  /** Why this version does not read the job, where it does not. */
  const unreadable = shallowRef<Problem | null>(null)
  const send = useActs()
  const narrow = useNarrow()
  const { looksOnly } = useMe()
  /** The chucking that is looked at: a keystroke's answer draws no other. */
  const end = ref(1)
  /** The step that is looked at: a keystroke's answer draws the work at no other. */
  const step = ref('')
  /** Documents as they were stored before, and those taken back: for undo and redo. */
  const past = ref<JobDocument[]>([])
  const future = ref<JobDocument[]>([])
  let request = 0

  function take(fresh: Job) {
    // An answer under way is about what stood here before.
    request++
    job.value = fresh
    plan.value = fresh.plan
    draft.value = structuredClone(fresh.document)
    wrong.value = {}
    trouble.value = ''
    unreadable.value = null
    dirty.value = false
    clashes.value = []
    localStorage.removeItem(kept(id))
  }
  /** What is typed and not stored is kept on this device, with the document that it began from. */
  function keep() {
    const begun = { base: job.value?.document, draft: draft.value, clashes: clashes.value }
    localStorage.setItem(kept(id), JSON.stringify(begun))
  }
  /** Another device changed the job while something was typed here: what both did stands in the draft. */
  function meet(fresh: Job) {
    if (!job.value || !draft.value) return
    const met = merge(job.value.document, toRaw(draft.value), fresh.document, clashes.value)
    if (!differences(fresh.document, met.document).length) return take(fresh)
    job.value = fresh
    draft.value = met.document
    clashes.value = met.clashes
    trouble.value = ''
    keep()
    void preview()
  }
  function settle(clash: Clash, mine: boolean) {
    if (!draft.value) return
    if (!mine) writeField(draft.value, clash.path, clash.theirs)
    clashes.value = clashes.value.filter((one) => one.path !== clash.path)
    void preview()
    if (!clashes.value.length) void commit()
  }
  function fail(error: unknown) {
    const problem = asProblem(error)
    wrong.value = Object.fromEntries(problem.errors.map((e) => [e.field, e]))
    // What belongs to no field is told on its own.
    const homeless = problem.errors.filter((e) => HOMELESS.includes(e.field)).map((e) => e.message)
    trouble.value = problem.errors.length ? homeless.join(' ') : problem.message
    missing.value = problem.status === 404
    unplaced.value = problem.of('part') !== undefined
    unreadable.value = problem.code === 'unreadable-job' ? problem : null
  }
  const fetched = () => {
    const params = { path: { job_id: id }, query: { part: part.value, narrow: narrow.value } }
    return ask(client.GET('/api/jobs/{job_id}', { params }))
  }
  async function load() {
    const left = localStorage.getItem(kept(id))
    try {
      take(await fetched())
      restore(left)
    } catch (error) {
      fail(error)
    }
  }
  /** Put back what an earlier visit typed and could not store. */
  function restore(left: string | null) {
    if (!left || !job.value || job.value.state === 'closed') return
    const { base, draft: mine, clashes: open } = begunOf(JSON.parse(left), job.value.document)
    const met = merge(base, mine, job.value.document, open)
    draft.value = met.document
    clashes.value = met.clashes
    dirty.value = true
    keep()
    trouble.value = 'These changes were typed earlier and not saved. Save them, or undo them.'
    void preview()
  }
  /** The job as it looks from another part; what was typed meanwhile stays. */
  async function look() {
    const mine = ++request
    try {
      const fresh = await fetched()
      // What was typed while it was asked for began from the document of before.
      if (dirty.value) meet(fresh)
      else if (mine !== request) job.value = fresh
      else take(fresh)
    } catch (error) {
      if (mine === request) fail(error)
    }
  }
  /** What is typed while an answer is under way is asked for after it: never two at once, never one too late. */
  let asking = false
  let again = false
  async function preview() {
    again = asking
    if (!draft.value || asking) return
    asking = true
    const mine = ++request
    try {
      const query = { end: end.value, part: part.value, step: step.value, narrow: narrow.value }
      const found = await ask(client.POST('/api/jobs/plan', { params: { query }, body: toRaw(draft.value) }))
      if (mine !== request) return
      plan.value = found
      wrong.value = {}
    } catch (error) {
      if (mine === request) fail(error)
    } finally {
      asking = false
      if (again) void preview()
    }
  }
  function set(field: string, value: unknown) {
    const path = pathOf(field, part.value)
    if (!draft.value || readField(draft.value, path) === value) return
    writeField(draft.value, path, value)
    dirty.value = true
    void preview()
    keep()
  }
  /** One change after the other, however fast they come: each is made from the revision the last one left. */
  let steps = Promise.resolve()
  const inTurn = (one: () => Promise<void>) => (steps = steps.then(one))
  const commit = () => inTurn(change)
  /** Does something with the whole job in its turn: after every change made so far, from what the last one left. */
  function withJob<T>(what: (job: Job) => Promise<T>): Promise<T> {
    const done = steps.then(() => {
      if (!job.value) throw new Problem(0, 'The job is still loading. Try again.')
      return what(job.value)
    })
    // A failure is told to whoever asked; what comes next has its turn all the same.
    steps = done.then(
      () => undefined,
      () => undefined,
    )
    return done
  }
  async function change() {
    if (!job.value) return
    const before = structuredClone(job.value.document)
    if (await store()) {
      past.value.push(before)
      future.value = []
    }
  }
  /** Go back to the last document of `from`, or forward again: stored like any other change. */
  async function turn(from: JobDocument[], to: JobDocument[]) {
    if (!job.value || job.value.state === 'closed') return
    const before = structuredClone(job.value.document)
    if (dirty.value && draft.value) {
      // What was typed last and is not stored is what the eye saw last: it goes first.
      if (from === future.value) return
      future.value.push(structuredClone(toRaw(draft.value)))
      take(job.value)
      return
    }
    const target = from.at(-1)
    if (!target) return
    draft.value = structuredClone(toRaw(target))
    dirty.value = true
    if (await store()) {
      from.pop()
      to.push(before)
    }
  }
  /** Store the draft; whether that was done. */
  async function store(): Promise<boolean> {
    if (!draft.value || !job.value || !dirty.value || clashes.value.length) return false
    const mine = ++request
    const body = { document: draft.value, revision: job.value.revision }
    const sent = JSON.stringify(body.document)
    const stored = part.value
    try {
      const params = { path: { job_id: id }, query: { part: part.value, narrow: narrow.value } }
      const fresh = await send([id, body], (header) =>
        ask(client.PUT('/api/jobs/{job_id}', { params: { ...params, header }, body })),
      )
      remember(body.document)
      if (JSON.stringify(draft.value) === sent) take(fresh)
      else job.value = fresh
      // Another part may have been turned to while this one was stored.
      if (part.value !== stored) await look()
      return true
    } catch (error) {
      if (error instanceof Problem && error.code === 'moved-on') return met()
      // Fields that were refused and have been typed in since: what stands there now is looked at instead.
      const over = error instanceof Problem && error.errors.length && JSON.stringify(draft.value) !== sent
      if (over) void preview()
      else if (mine === request || error instanceof Problem) fail(error)
      return false
    }
  }
  /** What was not stored, for another device was quicker: stored with what that did, unless both changed the same. */
  async function met(): Promise<boolean> {
    try {
      meet(await fetched())
    } catch (error) {
      fail(error)
      return false
    }
    return store()
  }
  /** Another device may have gone on: what it did is shown when one looks here again, what is typed here stays. */
  async function lookAgain() {
    const before = job.value
    if (!before) return
    try {
      const params = { path: { job_id: id } }
      const now = await ask(client.GET('/api/jobs/{job_id}/standing', { params }))
      if (job.value !== before || (now.revision === before.revision && now.last === before.last)) return
      if (!dirty.value) await look()
      else if (now.revision !== before.revision) meet(await fetched())
    } catch {
      // The next act says that the server is away.
    }
  }
  useReturn(() => void inTurn(lookAgain))
  useChanged(id, () => void inTurn(lookAgain))
  /** What is typed and not stored was drawn at one end and step alone, and has the working of that step alone. */
  watch([end, step], () => {
    const sheet = plan.value?.drawings[end.value - 1]
    const there = sheet?.paths.some((path) => path.steps?.includes(step.value))
    const figures = plan.value?.operations.find((one) => one.key === step.value)?.figures ?? []
    const bare = figures.some(({ figure }) => figure.kind === 'computed' && !figure.formula)
    if (plan.value && (!sheet || bare || (dirty.value && !there))) void preview()
  })
  watch([part, narrow], () => void (dirty.value ? preview() : look()))
  /** The errors of the part in hand, by its own fields. */
  const errors = computed(() => {
    const found: Record<string, FieldError> = {}
    for (const [path, error] of Object.entries(wrong.value)) {
      const owner = ownerOf(path)
      if (owner.part === 0 || owner.part === part.value) found[owner.field] = error
    }
    return found
  })
  /** What is wrong with parts that are not looked at. */
  const elsewhere = computed(() =>
    Object.entries(wrong.value)
      .map(([path, error]) => ({ part: ownerOf(path).part, text: error.message }))
      .filter((one) => one.part > 0 && one.part !== part.value)
      .map((one) => `${(draft.value && namesOf(draft.value)[one.part - 1]) ?? 'part'}: ${one.text}`),
  )
  /** What one step back or forward would change, in words; empty where there is none. */
  const named = (target: JobDocument | null | undefined) =>
    target && job.value ? changeName(job.value.document, target) : ''
  const undoes = computed(() => named(dirty.value ? draft.value : past.value.at(-1)))
  const redoes = computed(() => (dirty.value ? '' : named(future.value.at(-1))))
  return {
    job,
    plan,
    draft,
    part,
    errors,
    elsewhere,
    trouble,
    clashes,
    settle,
    dirty,
    missing,
    unplaced,
    unreadable,
    end,
    step,
    closed: computed(() => looksOnly.value || job.value?.state === 'closed'),
    load,
    set,
    commit,
    /** Waits until every change that was made is stored, or refused. */
    settled: () => steps,
    withJob,
    undoes,
    redoes,
    undo: () => inTurn(() => turn(past.value, future.value)),
    redo: () => inTurn(() => turn(future.value, past.value)),
    value: (field: string) =>
      String((draft.value && readField(draft.value, pathOf(field, part.value))) ?? ''),
  }
}
