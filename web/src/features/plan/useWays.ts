import { keepPreviousData, useQuery } from '@tanstack/vue-query'
import { computed } from 'vue'

import { ask, client } from '@/shared/api/client'
import { useFirst } from '@/shared/api/useFirst'

/** The ways to make each thread of a part, ranked; asked when they are looked at, and again when the job was changed. */
export function useWays(asked: () => { id: number; part: number; revision: number }) {
  const query = useQuery({
    queryKey: computed(() => ['kit', 'ways', asked()]),
    queryFn: () => {
      const { id, part } = asked()
      const params = { path: { job_id: id }, query: { part } }
      return ask(client.GET('/api/jobs/{job_id}/ways', { params }))
    },
    placeholderData: keepPreviousData,
  })
  return { ways: query.data, first: useFirst(query) }
}
