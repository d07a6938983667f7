import { computed, type Ref, ref, watch } from 'vue'

import type { BenchNow } from '@/features/bench/projected'
import { useChoices } from '@/shared/api/useChoices'

/** What the thread in hand is tried with: what it was tried with last, until another is chosen. */
export function useGauges(bench: Ref<BenchNow | null | undefined>) {
  const { data: choices } = useChoices()
  const tried = ref('')
  /** Which very nut or screw it is, by its name; null once it was cleared. */
  const mate = ref<string | null>('')
  const offered = computed(() => {
    const codes: readonly string[] = bench.value?.step?.gauges ?? []
    return (choices.value?.gauges ?? [])
      .filter((one) => codes.includes(one.code))
      .map((one) => ({ ...one, name: bench.value?.step?.inside ? one.hole : one.bolt }))
  })
  watch(
    () => `${bench.value?.step?.key ?? ''} ${bench.value?.tried ?? ''}`,
    () => (tried.value = bench.value?.tried ?? ''),
    { immediate: true },
  )
  watch(
    () => `${bench.value?.step?.key ?? ''} ${bench.value?.last ?? ''}`,
    () => (mate.value = bench.value?.mate ?? ''),
    { immediate: true },
  )
  const gauge = computed(() => offered.value.find((one) => one.code === tried.value) ?? offered.value[0])
  const verdicts = computed(() => gauge.value?.verdicts ?? [])
  return { tried, mate, offered, gauge, verdicts }
}
