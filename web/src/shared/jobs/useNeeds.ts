import { useQuery } from '@tanstack/vue-query'
import { computed } from 'vue'

import { ask, client } from '@/shared/api/client'
import { useFirst } from '@/shared/api/useFirst'

type Asked = { id: number; part: number; revision: number }

/**
 * What a part of a job works with, as the shop has it; asked again when the job was changed, and what was found before
 * stands until then. `known` says that it was found at all.
 */
export function useNeeds(asked: () => Asked) {
  const query = useQuery({
    queryKey: computed(() => ['kit', 'needs', asked()]),
    queryFn: () => {
      const { id, part } = asked()
      const params = { path: { job_id: id }, query: { part } }
      return ask(client.GET('/api/jobs/{job_id}/needs', { params }))
    },
    placeholderData: (found, last) => {
      const before = last?.queryKey[2] as Asked | undefined
      return before?.id === asked().id && before.part === asked().part ? found : undefined
    },
  })
  const { data } = query
  const known = computed(() => data.value !== undefined)
  return { needs: computed(() => data.value ?? []), known, first: useFirst(query) }
}
