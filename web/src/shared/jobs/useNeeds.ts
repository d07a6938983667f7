import { useQuery } from '@tanstack/vue-query'
import { computed } from 'vue'

import { ask, client } from '@/shared/api/client'

/** What a part of a job works with, as the shop has it; asked again when the job was changed. */
export function useNeeds(asked: () => { id: number; part: number; revision: number }) {
  const { data } = useQuery({
    queryKey: computed(() => ['kit', 'needs', asked()]),
    queryFn: () => {
      const { id, part } = asked()
      const params = { path: { job_id: id }, query: { part } }
      return ask(client.GET('/api/jobs/{job_id}/needs', { params }))
    },
  })
  return computed(() => data.value ?? [])
}
