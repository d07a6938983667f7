import { useQueryClient } from '@tanstack/vue-query'
import { ref, shallowRef } from 'vue'

import { asProblem, ask, client, Problem } from '@/shared/api/client'
import { stored } from '@/shared/state/stored'

/** What a finished job becomes: put in the shop once, however often it is pressed, by whoever made it. */
export function useBecomes(job: number, line: () => string) {
  const queries = useQueryClient()
  const done = stored(`became.${job}`, false, (value): value is boolean => typeof value === 'boolean')
  const busy = ref(false)
  const problem = shallowRef<Problem | null>(null)

  async function put() {
    busy.value = true
    problem.value = null
    try {
      const [told] = await ask(client.POST('/api/kit/typed', { body: { text: line() } }))
      if (told?.error) throw new Problem(422, told.error.message)
      const things = (told?.things ?? []).map(({ kind, document }) => ({ kind, document }))
      // One key for the job: another device that presses it too puts nothing in twice.
      const header = { 'Idempotency-Key': `becomes-${job}` }
      await ask(client.POST('/api/kit', { params: { header }, body: { things } }))
      await queries.invalidateQueries({ queryKey: ['kit'] })
      done.value = true
    } catch (error) {
      problem.value = asProblem(error)
    } finally {
      busy.value = false
    }
  }
  return { done, busy, problem, put }
}
