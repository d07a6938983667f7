import type { JobDocument, Schemas } from '@/shared/api/client'

/** How the last job was made: method and lathe of a shop change seldom. */
type Habits = Pick<Schemas['StartIn'], 'method' | 'setup'>

const key = (unit: string) => `conch.habits.${unit}`

/** How the last job in this unit was made: what a new one starts from; empty where there was none. */
export function habits(unit: 'in' | 'mm'): Habits {
  try {
    const kept = JSON.parse(localStorage.getItem(key(unit)) ?? 'null') as (Habits & { unit: string }) | null
    return kept?.unit === unit ? { method: kept.method, setup: kept.setup } : {}
  } catch {
    return {}
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
