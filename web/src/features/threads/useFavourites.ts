import { useMutation, useQuery, useQueryClient } from '@tanstack/vue-query'
import { computed } from 'vue'

import { ask, client } from '@/shared/api/client'

const KEY = ['favourites']

/** Threads the shop keeps at hand. */
export function useFavourites() {
  const queries = useQueryClient()
  const { data } = useQuery({ queryKey: KEY, queryFn: () => ask(client.GET('/api/threads/favourites')) })
  const kept = computed(() => data.value?.favourites ?? [])
  const { mutate } = useMutation({
    mutationFn: (designation: string) =>
      kept.value.includes(designation)
        ? ask(client.DELETE('/api/threads/favourites', { params: { query: { q: designation } } }))
        : ask(client.PUT('/api/threads/favourites', { body: { designation } })),
    onSuccess: (now) => queries.setQueryData(KEY, now),
  })
  return { kept, toggle: (designation: string) => mutate(designation) }
}
