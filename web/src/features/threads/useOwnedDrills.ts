import { computed } from 'vue'

import { useOwned } from '@/shared/api/useOwned'

/** Which drills count where nobody names any: those of the shop, or every rack where it has none. */
export function useOwnedDrills() {
  const { data } = useOwned()
  return computed(() =>
    data.value?.things.some((thing) => thing.kind === 'drill') ? "the shop's" : 'every rack',
  )
}
