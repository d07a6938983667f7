import { useQuery } from '@tanstack/vue-query'

import { ask, client } from '@/shared/api/client'

export const OWNED = ['kit']

/** What the shop owns. */
export function useOwned() {
  return useQuery({ queryKey: OWNED, queryFn: () => ask(client.GET('/api/kit')) })
}
