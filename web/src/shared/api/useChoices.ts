import { useQuery } from '@tanstack/vue-query'

import { ask, client } from '@/shared/api/client'
import { orKept } from '@/shared/state/keptAnswers'

/** Everything a form offers; it does not change while the page is open. */
export function useChoices() {
  return useQuery({
    queryKey: ['choices'],
    queryFn: () => orKept('choices', '', () => ask(client.GET('/api/choices'))),
    staleTime: Infinity,
  })
}
