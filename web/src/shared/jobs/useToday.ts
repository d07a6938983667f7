import { useQuery } from '@tanstack/vue-query'

import { ask, client } from '@/shared/api/client'

/** What was done today, and which jobs that moves; null before something is recorded. */
export function useToday() {
  const { data } = useQuery({
    queryKey: ['week', 'today'],
    queryFn: () => ask(client.GET('/api/week/today')),
    refetchOnMount: 'always',
  })
  return data
}
