import { useQuery } from '@tanstack/vue-query'
import { computed } from 'vue'

import { ask, client } from '@/shared/api/client'

/** The lathes of the shop, with what was said of each. */
export function useLathes() {
  const { data } = useQuery({ queryKey: ['kit'], queryFn: () => ask(client.GET('/api/kit')) })
  return computed(() => (data.value?.things ?? []).filter((one) => one.kind === 'lathe'))
}
