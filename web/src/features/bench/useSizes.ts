import { computed, type Ref, ref, watch } from 'vue'

import type { BenchNow } from '@/features/bench/projected'

/** Which size of the step in hand is looked at: the first, until another is chosen. */
export function useSizes(bench: Ref<BenchNow | null | undefined>) {
  const chosen = ref('')
  watch(
    () => bench.value?.step?.key,
    () => (chosen.value = ''),
  )
  const sizes = computed(() => bench.value?.sizes ?? [])
  const size = computed(() => sizes.value.find((s) => s.measured === chosen.value) ?? sizes.value[0] ?? null)
  const dimension = computed(
    () => bench.value?.step?.dimensions.find((d) => d.measured === size.value?.measured) ?? null,
  )
  /** The step is cut to this size: what to dial is told before anything was read. */
  const drives = computed(
    () => bench.value?.step?.measure === 'diameter' && size.value === sizes.value[0] && size.value !== null,
  )
  const cut = computed(() =>
    size.value && (drives.value || size.value.readings.length > 0) ? size.value.cut : null,
  )
  return { chosen, sizes, size, dimension, drives, cut }
}
