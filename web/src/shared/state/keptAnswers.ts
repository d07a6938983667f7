import { Problem } from '@/shared/api/client'

/** As many answers of a kind are kept; the one that was looked at longest ago goes first. */
const MOST = 8
const PLACE = 'conch.kept'

interface Kept<T> {
  of: string
  at: number
  answer: T
}
function all<T>(kind: string): Kept<T>[] {
  try {
    return JSON.parse(localStorage.getItem(`${PLACE}.${kind}`) ?? '[]') as Kept<T>[]
  } catch {
    return []
  }
}

/** Keeps what was answered on this device, for when the server is away. */
export function keepAnswer(kind: string, of: string | number, answer: unknown) {
  const others = all(kind).filter((one) => one.of !== String(of))
  const list = [{ of: String(of), at: Date.now(), answer }, ...others].slice(0, MOST)
  try {
    localStorage.setItem(`${PLACE}.${kind}`, JSON.stringify(list))
  } catch {
    // There is no room: it is known as long as the page is open.
  }
}

export const keptAnswer = <T>(kind: string, of: string | number) =>
  all<T>(kind).find((one) => one.of === String(of))

/** What the server answers, or what it answered last where it is away. */
export async function orKept<T>(kind: string, of: string | number, request: () => Promise<T>): Promise<T> {
  try {
    const answer = await request()
    keepAnswer(kind, of, answer)
    return answer
  } catch (error) {
    const kept = error instanceof Problem && error.status === 0 ? keptAnswer<T>(kind, of) : undefined
    if (!kept) throw error
    return kept.answer
  }
}
