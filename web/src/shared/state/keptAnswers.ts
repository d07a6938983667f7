import { Problem } from '@/shared/api/client'

/** As many answers of a kind are kept; the one that was looked at longest ago goes first. */
const MOST = 8
const PLACE = 'conch.kept.'

const keysOf = (kind: string) => Object.keys(localStorage).filter((key) => key.startsWith(`${PLACE}${kind}.`))
/** When a value was kept: it begins with that, so that the rest need not be read. */
const keptAt = (key: string) => Number.parseInt((localStorage.getItem(key) ?? '').slice(1), 10) || 0

/** The benches that are kept give way to what is stored nowhere else; they are fetched again. */
export function forgetKept() {
  for (const key of keysOf('bench')) localStorage.removeItem(key)
}

/** Keeps what was answered on this device, for when the server is away. */
export function keepAnswer(kind: string, of: string | number, answer: unknown) {
  const own = `${PLACE}${kind}.${of}`
  try {
    localStorage.setItem(own, JSON.stringify([Date.now(), answer]))
    const oldest = keysOf(kind).sort((a, b) => keptAt(b) - keptAt(a))
    for (const key of oldest.slice(MOST)) localStorage.removeItem(key)
  } catch {
    // There is no room, or no storage: it is known as long as the page is open.
  }
}

/** What was answered last, and when (ms since 1970); null where nothing was. */
export function keptAnswer<T>(kind: string, of: string | number): { at: number; answer: T } | null {
  try {
    const kept = JSON.parse(localStorage.getItem(`${PLACE}${kind}.${of}`) ?? 'null') as [number, T] | null
    return kept && { at: kept[0], answer: kept[1] }
  } catch {
    return null
  }
}

/** What the server answers, or what it answered last where it is away. */
export async function orKept<T>(kind: string, of: string | number, request: () => Promise<T>): Promise<T> {
  try {
    const answer = await request()
    keepAnswer(kind, of, answer)
    return answer
  } catch (error) {
    const kept = error instanceof Problem && error.status === 0 ? keptAnswer<T>(kind, of) : null
    if (!kept) throw error
    return kept.answer
  }
}
