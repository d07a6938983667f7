import { computed } from 'vue'

import { stored } from '@/shared/state/stored'
import { useHeightLeft, useTouched, useUpright } from '@/shared/state/useScreen'

/** Under this height (px) only what is read and pressed stands there; under the last one, only that of one reading. */
const LOW_PX = 700
const LOW_UPRIGHT_PX = 840
const LOWEST_PX = 540
/** What the number pad takes of it, with the gap above it (px). */
const PAD_PX = 250
const isYes = (value: unknown): value is boolean => typeof value === 'boolean'

/** How much of the bench there is room for: keyboards come up over it, and hands are of two kinds. */
export function useBenchRoom() {
  const height = useHeightLeft()
  const touched = useTouched()
  const upright = useUpright()
  const pad = stored('bench.pad', false, isYes)
  const leftHanded = stored('bench.left-handed', false, isYes)
  const shown = computed(() => ({
    low: touched.value && height.value - (pad.value ? PAD_PX : 0) < (upright.value ? LOW_UPRIGHT_PX : LOW_PX),
    lowest: touched.value && height.value < LOWEST_PX,
    padded: pad.value,
    'left-handed': leftHanded.value,
  }))
  return { pad, leftHanded, touched, shown }
}
