import { useQuery, useQueryClient } from '@tanstack/vue-query'
import { computed, ref } from 'vue'

import { asProblem, ask, client, type Problem, type Schemas } from '@/shared/api/client'

export type Week = Schemas['WeekShown']
export type JobInWeek = Schemas['JobInWeek']
export type Booking = Schemas['BookingShown']
export type Wish = Required<Schemas['WishIn']>
export type Hand = Required<Schemas['HandIn']>

/** The week as the server has it, and what is said of it: each act answers with the week that follows. */
export function useWeek() {
  const queries = useQueryClient()
  const { data, error } = useQuery({
    queryKey: ['week'],
    queryFn: () => ask(client.GET('/api/week')),
    refetchOnMount: 'always',
  })
  const problem = ref<Problem | null>(null)
  /** The job that was refused something, 0 for what is no job's: what is wrong is said beside it alone. */
  const refused = ref(0)
  const busy = ref(false)

  /** Does something to the week; whether it was done. What cannot be is said beside its field. */
  async function act(request: () => Promise<Week>, job = 0): Promise<boolean> {
    if (busy.value) return false
    busy.value = true
    try {
      queries.setQueryData(['week'], await request())
      problem.value = null
      return true
    } catch (failed) {
      problem.value = asProblem(failed)
      refused.value = job
      // Somebody else said something meanwhile: that is shown, beside what is typed here.
      if (problem.value.status === 409) void queries.invalidateQueries({ queryKey: ['week'] })
      return false
    } finally {
      busy.value = false
    }
  }
  const wish = (job: number, body: Wish) =>
    act(() => ask(client.PUT('/api/week/jobs/{job_id}', { params: { path: { job_id: job } }, body })), job)
  const people = (hands: Hand[]) =>
    act(() => ask(client.PUT('/api/week/people', { body: { people: hands } })))
  const putBefore = (first: number, then: number) =>
    act(() => ask(client.POST('/api/week/before', { body: { first, then } })), then)
  const letGo = (job: number) =>
    act(() => ask(client.DELETE('/api/week/before/{job_id}', { params: { path: { job_id: job } } })))
  return {
    week: computed(() => data.value ?? null),
    error,
    problem,
    refused,
    busy,
    wish,
    people,
    putBefore,
    letGo,
  }
}
