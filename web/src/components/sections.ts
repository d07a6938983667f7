import type { Schemas } from '@/api/client'

export type Section = Schemas['SectionIn']

/** An empty section of a shape. */
export const section = (shape: string, known: Partial<Section> = {}): Section => ({
  shape,
  across: '',
  length: '',
  thread: '',
  chamfer: '',
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
