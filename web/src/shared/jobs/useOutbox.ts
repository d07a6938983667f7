import { computed, onScopeDispose, ref, shallowRef } from 'vue'

import { asProblem, ask, type Bench, client, Problem } from '@/shared/api/client'
import {
  type Act,
  again,
  drop,
  put,
  refuse,
  type Said,
  type Saw,
  sent,
  waitingOf,
} from '@/shared/jobs/outbox'

/** How long an answer is waited for; a network that swallows requests is no answer (ms). */
const PATIENCE_MS = 8000
const RETRY_MS = 2000

/** Not refused, but not taken either: also by a server that does not know this device now, and may again. */
const unknown = (problem: Problem) => [0, 401].includes(problem.status) || problem.status >= 500

/**
 * Entries on their way to the server: kept on this device, sent one after the other, each once, and given up only when
 * the server has them. `took` is told the bench after each. What is refused is dropped only where the field it was
 * typed in is `onScreen` and holds it.
 */
export function useOutbox(job: number, took: (now: Bench) => void, onScreen = true) {
  const waiting = waitingOf(job)
  /** The server did not answer the last time. */
  const away = ref(false)
  /** Why it could not store what was sent, where it said so: a full disk. */
  const why = ref('')
  const busy = ref(false)
  const problem = shallowRef<Problem | null>(null)
  /** What was refused stands in the way of what came after it. */
  const stuck = computed(() => waiting.value[0]?.refused !== undefined && waiting.value[0].refused !== '')
  let timer = 0

  async function one(): Promise<void> {
    const [first] = waiting.value
    if (!first) return
    const header = { 'Idempotency-Key': first.key }
    const now = await ask(
      client.POST('/api/jobs/{job_id}/entries', {
        params: { path: { job_id: job }, header },
        body: first.said,
        signal: AbortSignal.timeout(PATIENCE_MS),
      }),
    )
    sent(job, first.key, now)
    took(now)
  }

  /** What becomes of the first one, refused; whether it is safe on this device. */
  function refused(found: Problem): boolean {
    const [first] = waiting.value
    if (!first) return false
    // Alone, it is told beside the field it was typed in: that still holds it.
    const alone = onScreen && waiting.value.length === 1 && !away.value
    if (alone) drop(job, first.key)
    else
      refuse(job, first.key, found.errors[0]?.message ?? found.message, found.errors[0]?.code ?? found.code)
    problem.value = alone ? found : null
    away.value = false
    return !alone
  }

  /**
   * Whether an unlikely reading is kept as it is: recorded away from the server, it cannot be asked about in its place
   * any more, and nothing of it is lost.
   */
  function kept(found: Problem): boolean {
    const [first] = waiting.value
    const onScreenStill = onScreen && waiting.value.length === 1 && !away.value
    if (!first || onScreenStill || found.errors[0]?.code !== 'unlikely') return false
    const { last, revision, ...said } = first.said
    if ('sure' in said && said.sure) return false
    again(job, { last, revision }, { ...said, sure: true } as Act)
    return true
  }

  /** Sends what waits; false where the server refused what is typed on the screen still. */
  async function flush(): Promise<boolean> {
    if (busy.value || stuck.value) return true
    window.clearTimeout(timer)
    busy.value = true
    try {
      while (waiting.value.length)
        await one().catch((error: unknown) => {
          if (!kept(asProblem(error))) throw error
        })
      away.value = false
      why.value = ''
      problem.value = null
      return true
    } catch (error) {
      const found = asProblem(error)
      if (unknown(found)) {
        away.value = true
        why.value = found.status >= 500 ? found.message : ''
        timer = window.setTimeout(() => void flush(), RETRY_MS)
        return true
      }
      return refused(found)
    } finally {
      busy.value = false
    }
  }

  /** Records: kept first, then sent. False where the server refused it, or another is under way. */
  function record(said: Said): Promise<boolean> {
    if (busy.value && !away.value) return Promise.resolve(false)
    put(job, said)
    return busy.value ? Promise.resolve(true) : flush()
  }
  const retry = (saw: Saw, instead?: Act) => {
    again(job, saw, instead)
    return flush()
  }
  const throwAway = (key: string) => {
    drop(job, key)
    return flush()
  }
  const back = () => void flush()
  window.addEventListener('online', back)
  onScopeDispose(() => {
    window.clearTimeout(timer)
    window.removeEventListener('online', back)
  })
  return { waiting, away, why, busy, problem, stuck, record, flush, retry, throwAway }
}
