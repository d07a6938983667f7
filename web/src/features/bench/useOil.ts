import { computed, ref, watch, type Ref } from 'vue'

import type { BenchNow } from '@/features/bench/projected'

/** A tap that breaks dry is asked for its oil before it turns, at each piece: what is on is told by a press. */
export function useOil(bench: Ref<BenchNow | null | undefined>) {
  const on = ref(false)
  watch(
    () => `${bench.value?.piece} ${bench.value?.step?.key}`,
    () => (on.value = false),
  )
  /** What is still to be put on; "" where nothing is. */
  const wanted = computed(() => (on.value ? '' : (bench.value?.step?.oil ?? '')))
  return { wanted, oiled: () => (on.value = true) }
}
