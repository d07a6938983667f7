import { useQuery } from '@tanstack/vue-query'
import { computed } from 'vue'

import { ask, client } from '@/shared/api/client'

/** What the shop has, its lathes among it. */
export function useLathes() {
  return useQuery({ queryKey: ['kit'], queryFn: () => ask(client.GET('/api/kit')) })
}

/** The lathes of the shop as choices, with that of naming none. */
export function useMachines() {
  const { data } = useLathes()
  return computed(() => [
    { code: '', name: 'no lathe named', remark: 'its facts as typed here' },
    ...(data.value?.things ?? [])
      .filter((one) => one.kind === 'lathe')
      .map((one) => ({
        code: one.id,
        name: one.name,
        remark: [one.state === 'ready' ? '' : one.state, one.place].filter(Boolean).join(', '),
      })),
  ])
}
