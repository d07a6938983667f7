import { computed, type Ref, ref, watch } from 'vue'

import type { BenchNow } from '@/features/bench/projected'

/** What is settled between the person and this screen before the next act, press by press: no entry is kept of it. */
export function useSettledHere(bench: Ref<BenchNow | null | undefined>) {
  /** How much of it is. */
  const settled = ref(0)
  watch(
    // A nut that is tried again may bind for each of its causes again; oil that is on stays on at its step.
    () =>
      `${bench.value?.piece} ${bench.value?.step?.key} ${bench.value?.causes.length ? bench.value.last : ''}`,
    () => (settled.value = 0),
  )
  const first = computed(() => bench.value?.before[settled.value] ?? null)
  /** What must be on the tool before it turns; "" where it is. */
  const oil = computed(() => (first.value?.does === 'oil' ? (bench.value?.step?.oil ?? '') : ''))
  return { settled, first, oil }
}
