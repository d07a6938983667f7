import { computed } from 'vue'

import { useOwned } from '@/shared/api/useOwned'

/** The lathes of the shop as choices, with that of naming none. */
export function useMachines() {
  const { data } = useOwned()
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
