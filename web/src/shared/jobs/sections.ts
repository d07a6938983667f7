import type { Schemas } from '@/shared/api/client'

export type Section = Schemas['SectionIn']

/** An id that none of those `taken` is: it stays with what it is given to, wherever that moves. */
export function newId(letter: string, taken: string[] = []): string {
  const [number = 0] = crypto.getRandomValues(new Uint32Array(1))
  const id = `${letter}${number.toString(36)}`
  return taken.includes(id) ? newId(letter, taken) : id
}

/** An empty section of a shape, with an id of its own. */
export const section = (id: string, shape: Section['shape'], known: Partial<Section> = {}): Section => ({
  id,
  shape,
  across: '',
  length: '',
  thread: '',
  chamfer: '',
  cut: 'die',
  measured: '',
  measured_length: '',
  ...known,
})

/** The list with one section moved a place toward either end. */
export function moved(sections: Section[], at: number, by: number): Section[] {
  const out = [...sections]
  const [one] = out.splice(at, 1)
  if (one) out.splice(at + by, 0, one)
  return out
}
