import { computed, onScopeDispose, shallowRef, watch } from 'vue'

import { projected } from '@/features/bench/projected'
import { useOutbox } from '@/shared/jobs/useOutbox'
import { asProblem, ask, type Bench, client, type Plan, Problem, type Schemas } from '@/shared/api/client'
import { useAnswer } from '@/shared/api/useAnswer'
import { useChoices } from '@/shared/api/useChoices'
import { useActs } from '@/shared/jobs/useActs'
import { useJobActs } from '@/shared/jobs/useJobActs'
import type { Act } from '@/shared/jobs/outbox'
import { useChanged } from '@/shared/api/useNews'
import { keepAnswer, keptAnswer } from '@/shared/state/keptAnswers'
import { useReturn } from '@/shared/state/useReturn'

export type Meanwhile = Schemas['Meanwhile']

/** What is kept of a job on this device: its bench, and the steps that follow. */
interface KeptBench {
  bench: Bench
  plan: Plan | null
}
const RETRY_MS = 3000

/** What only the server can do: it is told so while it is away. */
const NEEDS_SERVER: Act['kind'][] = ['again', 'turn-to', 'take-up', 'zero-lost', 'cause', 'pause', 'go-on']
const AWAY = new Problem(0, 'This needs Conch, which does not answer. Try again when it does.')

/** The bench of a job: where it stands, and the few things one can record. */
export function useBench(id: number) {
  const told = useAnswer<Bench>('bench', id)
  const { data: choices } = useChoices()
  const problem = shallowRef<Problem | null>(null)
  /** What others did that this screen did not show, until something is done here. */
  const meanwhile = shallowRef<Meanwhile | null>(null)
  const path = { job_id: id }
  const send = useActs()
  const whole = useJobActs()
  const box = useOutbox(id, (now) => (told.value = now))

  /** The steps that follow, to go on with while the server is away. */
  const plan = shallowRef<Plan | null>(null)
  watch(
    () => told.value && told.value.state !== 'closed' && `${told.value.revision} ${told.value.part}`,
    async (wanted) => {
      if (!wanted || !told.value) return
      const query = { part: told.value.part }
      const job = await ask(client.GET('/api/jobs/{job_id}', { params: { path, query } })).catch(() => null)
      plan.value = job?.plan ?? plan.value
    },
  )
  const passes = (code: string) =>
    choices.value?.gauges.flatMap((one) => one.verdicts).find((one) => one.code === code)?.passes ?? false
  /** What waits is more than an entry on its way. */
  const behind = computed(() => box.away.value || box.stuck.value)
  // Nothing of what is fetched to go on with is looked at before it is needed: the screen stays as it is.
  const bench = computed(() => {
    if (!told.value) return null
    return behind.value
      ? projected(told.value, box.waiting.value, plan.value, passes)
      : projected(told.value, [], null, passes)
  })

  /** Sends one request at a time: a second press while the first is under way does nothing. */
  async function take(request: () => Promise<Bench>): Promise<boolean> {
    if (box.busy.value) return false
    box.busy.value = true
    const before = saw()
    try {
      told.value = await request()
      problem.value = null
      meanwhile.value = null
      return true
    } catch (error) {
      problem.value = asProblem(error)
      return false
    } finally {
      box.busy.value = false
      if (problem.value?.code === 'moved-on') void catchUp(before)
    }
  }
  /** Shows what stands there now, and what was done since this screen saw it. */
  async function catchUp(before: { last: number; revision: number }) {
    const shown = told.value
    try {
      const now = await read()
      // An act that was told meanwhile is newer than what was read before it.
      if (told.value !== shown || box.busy.value) return
      if (now.last === shown?.last && now.revision === shown.revision) return
      told.value = now
      const query = { last: before.last, revision: before.revision }
      meanwhile.value = await ask(client.GET('/api/jobs/{job_id}/meanwhile', { params: { path, query } }))
    } catch {
      // The next act says that the server is away.
    }
  }
  const read = () => ask(client.GET('/api/jobs/{job_id}/bench', { params: { path } }))
  /** What this screen shows: an act that finds something else is refused. */
  const saw = () => ({ last: told.value?.last ?? 0, revision: told.value?.revision ?? 0 })
  async function record(act: Act): Promise<boolean> {
    if (box.away.value && NEEDS_SERVER.includes(act.kind)) {
      problem.value = AWAY
      return false
    }
    const before = saw()
    const done = await box.record({ ...act, ...before, step: bench.value?.step?.key ?? '' })
    problem.value = done ? null : box.problem.value
    if (done) meanwhile.value = null
    const refused = problem.value?.code ?? box.waiting.value[0]?.code
    if (refused === 'moved-on') void catchUp(before)
    return done
  }
  async function undo(): Promise<boolean> {
    const last = box.waiting.value.at(-1)
    // What the server does not have yet is taken out of what waits; one under way may be there already.
    if (last && (box.waiting.value.length > 1 || last.refused)) return box.throwAway(last.key)
    await box.flush()
    if (box.waiting.value.length) {
      problem.value = AWAY
      return false
    }
    const body = saw()
    return take(() =>
      send(['undo', id, body], (header) =>
        ask(client.POST('/api/jobs/{job_id}/undo', { params: { path, header }, body })),
      ),
    )
  }
  /** The part is changed to the size that its step in hand came to. */
  const suitPart = (step: string) => {
    const body = { ...saw(), step }
    return take(() =>
      send(['suit', id, body], (header) =>
        ask(client.POST('/api/jobs/{job_id}/suit', { params: { path, header }, body })),
      ),
    )
  }
  const close = (reason: string) =>
    take(async () => {
      await whole.close({ id, ...saw() }, reason)
      return read()
    })
  /** What waits is sent before the bench is read: it would be read without it. */
  async function load(): Promise<boolean> {
    await box.flush()
    if (await take(read)) return true
    if (problem.value?.status === 0) openKept()
    return false
  }
  /** When what is shown was known to the server, where it was opened without it; null where it was not. */
  const since = shallowRef<Date | null>(null)
  /** What the server said last is kept, once what follows from it was shown. */
  watch([told, plan], () => {
    if (!told.value || since.value) return
    const kept: KeptBench = { bench: told.value, plan: plan.value }
    window.setTimeout(() => keepAnswer('bench', id, kept))
  })
  let asking = 0
  /** Without the server: what this device knows of the job, until it answers. */
  function openKept() {
    const kept = keptAnswer<KeptBench>('bench', id)
    if (!kept) return
    plan.value = kept.answer.plan
    told.value = kept.answer.bench
    since.value = new Date(kept.at)
    problem.value = null
    box.away.value = true
    asking = window.setInterval(() => void reach(), RETRY_MS)
  }
  /** The server again: what waits is sent, then what stands there is shown. */
  async function reach() {
    await box.flush()
    if (box.waiting.value.length || box.busy.value) return
    const now = await read().catch(() => null)
    // What was recorded meanwhile is newer.
    if (box.waiting.value.length || box.busy.value) return
    if (!now) return (box.away.value = true)
    window.clearInterval(asking)
    since.value = null
    box.away.value = false
    told.value = now
  }
  onScopeDispose(() => window.clearInterval(asking))
  /**
   * Another device may have gone on: what it did is shown at once, and when one looks here again. An act whose answer was
   * lost is tried again first, as it was: what it found would hide whether it was done.
   */
  let late = false
  function look() {
    late = box.busy.value
    if (late) return
    if (box.waiting.value.length) return void box.flush()
    if (!told.value || problem.value?.status === 0) return
    void catchUp(saw())
  }
  useReturn(look)
  useChanged(id, look)
  // What came while an act was under way is looked at after it.
  watch(box.busy, (busy) => {
    if (!busy && late) look()
  })
  return {
    bench,
    problem,
    busy: box.busy,
    away: box.away,
    why: box.why,
    behind,
    waiting: box.waiting,
    meanwhile,
    since,
    load,
    record,
    undo,
    close,
    suitPart,
    retry: (instead?: Act) => box.retry(saw(), instead),
    throwAway: box.throwAway,
  }
}
