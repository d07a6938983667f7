import { computed } from 'vue'

import { useOwned } from '@/shared/api/useOwned'

/** The lathes of the shop as choices, with that of naming none. */
export function useMachines() {
  const { data } = useOwned()
  return computed(() => [
    { code: '', name: 'no lathe chosen', remark: 'uses the values typed below' },
    ...(data.value?.things ?? [])
      .filter((one) => one.kind === 'lathe')
      .map((one) => ({
        code: one.id,
        name: one.name,
        remark: [one.state === 'ready' ? '' : one.condition, one.place].filter(Boolean).join(', '),
      })),
  ])
}
