import { skipToken, useQuery, useQueryClient } from '@tanstack/vue-query'
import { computed, toRaw, type WritableComputedRef } from 'vue'

/** What the server said last of one thing, told by each act on it: kept where every answer is, null until it is there. */
export function useAnswer<T>(...key: (string | number)[]): WritableComputedRef<T | null> {
  const queries = useQueryClient()
  const { data } = useQuery<T>({
    queryKey: key,
    queryFn: skipToken,
    structuralSharing: false,
    shallow: true,
    // What was left unseen may have gone on elsewhere.
    gcTime: 0,
  })
  return computed({
    get: () => (toRaw(data.value) as T | undefined) ?? null,
    set: (now) => queries.setQueryData(key, now),
  })
}
