import { computed, ref, shallowRef } from 'vue'

import { asProblem, ask, type Bench, client, Problem, type Schemas } from '@/shared/api/client'
import { useAnswer } from '@/shared/api/useAnswer'
import { useActs } from '@/shared/jobs/useActs'
import { useJobActs } from '@/shared/jobs/useJobActs'
import { useReturn } from '@/shared/state/useReturn'

export type EntryKind = Schemas['EntryIn']['kind']

/** The bench of a job: where it stands, and the few things one can record. */
export function useBench(id: number) {
  const bench = useAnswer<Bench>('bench', id)
  const problem = shallowRef<Problem | null>(null)
  const busy = ref(false)
  const path = { job_id: id }
  const send = useActs()
  const whole = useJobActs()

  /** Sends one request at a time: a second press while the first is under way does nothing. */
  async function take(request: () => Promise<Bench>): Promise<boolean> {
    if (busy.value) return false
    busy.value = true
    try {
      bench.value = await request()
      problem.value = null
      return true
    } catch (error) {
      problem.value = asProblem(error)
      return false
    } finally {
      busy.value = false
    }
  }
  const read = () => ask(client.GET('/api/jobs/{job_id}/bench', { params: { path } }))
  /** What this screen shows: an act that finds something else is refused. */
  const saw = () => ({ last: bench.value?.last ?? 0, revision: bench.value?.revision ?? 0 })
  const record = (kind: EntryKind, more: Partial<Schemas['EntryIn']> = {}) => {
    const body = {
      reading: '',
      dialled: '',
      unit: '' as const,
      verdict: '',
      reason: '',
      again: '',
      part: '',
      keeps: '' as const,
      stands: '',
      cause: '',
      wire: '',
      ...more,
      ...saw(),
      kind,
      step: bench.value?.step?.key ?? '',
    }
    return take(() =>
      send([id, body], (header) =>
        ask(client.POST('/api/jobs/{job_id}/entries', { params: { path, header }, body })),
      ),
    )
  }
  const undo = () => {
    const body = saw()
    return take(() =>
      send(['undo', id, body], (header) =>
        ask(client.POST('/api/jobs/{job_id}/undo', { params: { path, header }, body })),
      ),
    )
  }
  const close = (reason: string) =>
    take(async () => {
      await whole.close({ id, ...saw() }, reason)
      return read()
    })
  /**
   * Another device may have gone on: what it did is shown when one looks here again. An act whose answer was lost is
   * tried again first, as it was: what it found would hide whether it was done.
   */
  useReturn(() => {
    if (busy.value || !bench.value || problem.value?.status === 0) return
    void read().then(
      (now) => {
        const { last, revision } = saw()
        const moved = now.last !== last || now.revision !== revision
        if (!busy.value && moved) {
          bench.value = now
          problem.value = null
        }
      },
      () => undefined,
    )
  })
  return {
    bench,
    problem,
    busy,
    moved: computed(() => problem.value?.code === 'moved-on'),
    load: () => take(read),
    record,
    undo,
    close,
  }
}
