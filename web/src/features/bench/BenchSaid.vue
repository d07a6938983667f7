<script setup lang="ts">
import { computed, watch } from 'vue'

import { aloud } from '@/features/bench/aloud'
import type { BenchNow, SizeNow } from '@/features/bench/projected'
import { say } from '@/features/bench/sounds'
import type { Schemas } from '@/shared/api/client'
import { useUnits } from '@/shared/figures/useUnits'

/** The figure of the step as a sentence, for who hears instead of sees it: a screen reader, or the device's own voice. */
const props = defineProps<{ bench: BenchNow; size: SizeNow | null; cut: Schemas['CutShown'] | null }>()
const { told, words } = useUnits()
const SPOKEN: Record<string, string> = { in: 'inches', mm: 'millimetres', '%': 'per cent' }

const figure = (shown: Schemas['Shown']) => {
  const { text: number, unit } = told(shown)
  return `${number.replace(/^[-−]/, 'minus ')} ${SPOKEN[unit] ?? unit}`.trim()
}
/** The sentence of a step, its figures in their places. */
const sentence = computed(() => {
  const { step } = props.bench
  const figures = new Map(step?.figures.map((one) => [one.key, one.figure]))
  return (step?.sentence ?? '').replace(/\{(\w+)\}/g, (_, key: string) => {
    const found = figures.get(key)
    return found ? figure(found.shown) : ''
  })
})
const said = computed(() => {
  const { bench, size, cut } = props
  if (bench.zero) return bench.zero
  if (bench.contradiction) return bench.contradiction
  if (bench.verdict && bench.advice) return bench.advice.order
  if (cut?.dial) {
    const until = cut.expect ? ` Expect ${figure(cut.expect.shown)}.` : ''
    return `${cut.words || cut.dial.name}: ${figure(cut.dial.shown)}.${until}`
  }
  if (size?.judged) return words(size.judged.words)
  if (cut) return cut.words
  return sentence.value
})
const limits = computed(() => {
  const dimension = props.bench.step?.dimensions.find((one) => one.measured === props.size?.measured)
  return dimension && !props.size?.readings.length
    ? ` Limits ${told(dimension.low).text} to ${figure(dimension.high)}.`
    : ''
})
const whole = computed(() => said.value + limits.value)
watch([whole, aloud], ([now, on]) => on && say(now))
/** What a reading or a verdict came to is announced where it stands. */
const announced = computed(() => {
  const { bench, size, cut } = props
  const elsewhere = size?.judged || (cut && !cut.dial) || bench.verdict || bench.contradiction
  return elsewhere ? '' : whole.value
})
</script>

<template>
  <p class="sr" data-say="now" aria-live="polite">{{ announced }}</p>
</template>
