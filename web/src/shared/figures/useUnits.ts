import type { Schemas, Shown, Unit } from '@/shared/api/client'
import { stored } from '@/shared/state/stored'

type Told = Schemas['Told']

const unit = stored<Unit>('unit', 'in', (v): v is Unit => v === 'in' || v === 'mm')

const pick = <T>(both: { inch: T; mm: T }): T => (unit.value === 'in' ? both.inch : both.mm)

/** The display unit: the only place that knows it. Values come told in both; this picks one. */
export function useUnits() {
  return {
    unit,
    toggle: () => (unit.value = unit.value === 'in' ? 'mm' : 'in'),
    told: pick<Told>,
    words: pick<string>,
    text: (shown: Shown) => `${pick(shown).text} ${pick(shown).unit}`.trim(),
  }
}
