import { computed } from 'vue'

import { useOwned } from '@/shared/api/useOwned'

/** The lathes of the shop, with what was said of each. */
export function useLathes() {
  const { data } = useOwned()
  return computed(() => (data.value?.things ?? []).filter((one) => one.kind === 'lathe'))
}
