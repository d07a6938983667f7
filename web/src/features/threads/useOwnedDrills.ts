import { useQuery } from '@tanstack/vue-query'
import { computed } from 'vue'

import { ask, client } from '@/shared/api/client'

/** Which drills count where nobody names any: those of the shop, or every rack where it has none. */
export function useOwnedDrills() {
  const { data } = useQuery({ queryKey: ['kit'], queryFn: () => ask(client.GET('/api/kit')) })
  return computed(() =>
    data.value?.things.some((thing) => thing.kind === 'drill') ? "the shop's" : 'every rack',
  )
}
