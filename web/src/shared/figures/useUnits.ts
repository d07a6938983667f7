import { computed, inject, type InjectionKey, provide, type Ref, ref, toValue, watchEffect } from 'vue'

import type { Schemas, Shown, Unit } from '@/shared/api/client'
import { stored } from '@/shared/state/stored'

type Told = Schemas['Told']
/** What is shown: what each job or thread was made in, or one unit everywhere. */
export type UnitMode = 'job' | 'in' | 'mm'
export const MODES: UnitMode[] = ['job', 'in', 'mm']

const isUnit = (value: unknown): value is Unit => value === 'in' || value === 'mm'
const mode = stored<UnitMode>('units', 'job', (v): v is UnitMode => v === 'job' || isUnit(v))
/** That of the job or thread looked at last: what has none of its own is told in it. */
const lately = stored<Unit>('units.lately', 'in', isUnit)
const OWN: InjectionKey<Ref<Unit | undefined>> = Symbol('own unit')

/** Says in which unit a view, and all that stands in it, is at home. */
export function provideUnit(own: () => Unit | undefined) {
  const unit = ref<Unit>()
  watchEffect(() => {
    unit.value = toValue(own)
    if (unit.value) lately.value = unit.value
  })
  provide(OWN, unit)
}

/** The display unit: the only place that knows it. Values come told in both; this picks one. */
export function useUnits(own?: () => Unit | undefined) {
  const given = inject(OWN, undefined)
  const unit = computed<Unit>(() =>
    mode.value === 'job' ? (own?.() ?? given?.value ?? lately.value) : mode.value,
  )
  const pick = <T>(both: { inch: T; mm: T }): T => (unit.value === 'in' ? both.inch : both.mm)
  const text = (told: Told) => `${told.text} ${told.unit}`.trim()
  return {
    unit,
    mode,
    told: pick<Told>,
    words: pick<string>,
    text: (shown: Shown) => text(pick(shown)),
    /** The same in the other unit; "" where that says nothing else. */
    other: (shown: Shown) =>
      shown.inch.unit === shown.mm.unit ? '' : text(unit.value === 'in' ? shown.mm : shown.inch),
  }
}

/** On to the next of the three. */
export function turnUnits() {
  mode.value = MODES[(MODES.indexOf(mode.value) + 1) % MODES.length] ?? 'job'
}
