import { computed, ref, shallowRef } from 'vue'

import { asProblem, ask, type Bench, client, Problem, type Schemas } from '@/api/client'

export type EntryKind = Schemas['EntryIn']['kind']

/** The bench of a job: where it stands, and the few things one can record. */
export function useBench(id: number) {
  const bench = shallowRef<Bench | null>(null)
  const problem = shallowRef<Problem | null>(null)
  const busy = ref(false)
  const path = { params: { path: { job_id: id } } }

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
  const seen = () => bench.value?.seen ?? 0
  const record = (kind: EntryKind, more: Partial<Schemas['EntryIn']> = {}) =>
    take(() =>
      ask(
        client.POST('/api/jobs/{job_id}/entries', {
          ...path,
          body: {
            reading: '',
            unit: '',
            verdict: '',
            reason: '',
            step: '',
            part: 0,
            ...more,
            kind,
            seen: seen(),
          },
        }),
      ),
    )
  return {
    bench,
    problem,
    busy,
    moved: computed(() => problem.value?.status === 409),
    load: () => take(() => ask(client.GET('/api/jobs/{job_id}/bench', path))),
    record,
    undo: () => take(() => ask(client.POST('/api/jobs/{job_id}/undo', { ...path, body: { seen: seen() } }))),
    close: (reason: string) =>
      take(() => ask(client.POST('/api/jobs/{job_id}/close', { ...path, body: { reason } }))),
  }
}
