import type { Shown, Unit } from '@/shared/api/client'
import { stored } from '@/shared/state/stored'

const unit = stored<Unit>('unit', 'in', (v): v is Unit => v === 'in' || v === 'mm')

/** The display unit: the only place that knows it. Values come told in both; this picks one. */
export function useUnits() {
  return {
    unit,
    toggle: () => (unit.value = unit.value === 'in' ? 'mm' : 'in'),
    told: (shown: Shown) => shown[unit.value],
    text: (shown: Shown) => `${shown[unit.value].text} ${shown[unit.value].unit}`.trim(),
  }
}
