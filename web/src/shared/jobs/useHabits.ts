import type { JobDocument } from '@/shared/api/client'
import { firstHabits, type Habits } from '@/shared/jobs/newPart'

const key = (unit: string) => `conch.habits.${unit}`

/** How the last job in this unit was made: what a new one starts from. */
export function habits(unit: 'in' | 'mm'): Habits {
  const first = firstHabits(unit)
  try {
    const kept = JSON.parse(localStorage.getItem(key(unit)) ?? 'null') as Habits | null
    if (kept?.unit !== unit) return first
    // The metal brings its own fraction, the part its own order and support.
    const { order, support, blank_fraction, percent } = first.method
    return {
      unit,
      method: { ...first.method, ...kept.method, order, support, blank_fraction, percent },
      setup: { ...first.setup, ...kept.setup },
    }
  } catch {
    return first
  }
}

/** Remember how a job is made, once it was stored. */
export function remember(document: JobDocument) {
  const { unit, method, setup } = document
  try {
    localStorage.setItem(key(unit), JSON.stringify({ unit, method, setup }))
  } catch {
    // Storage is off: the next job starts from the usual values.
  }
}
