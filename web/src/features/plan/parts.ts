import type { JobDocument } from '@/shared/api/client'

/** Fields that each part of a job has for itself; the rest is the job's. */
const OWN = new Set(['fits', 'quantity', 'material', 'method', 'part'])
const isOwn = (field: string) => OWN.has(field.split('.')[0] ?? '')

/** Where a field of part number `part` (from 1) stands in the document. */
export const pathOf = (field: string, part: number): string =>
  part > 1 && isOwn(field) ? `others.${part - 2}.${field}` : field

/** Which part a path of the document belongs to (0: the whole job), and the field as that part knows it. */
export function ownerOf(path: string): { part: number; field: string } {
  const other = /^others\.(\d+)\.(.*)$/.exec(path)
  if (other) return { part: Number(other[1]) + 2, field: other[2] ?? '' }
  return { part: isOwn(path) ? 1 : 0, field: path }
}

/** What a part says for itself. */
export const ownOf = (document: JobDocument, part: number) =>
  part > 1 ? (document.others?.[part - 2] ?? document) : document

/** What the parts are called, first to last. */
export const namesOf = (document: JobDocument): string[] =>
  [document, ...(document.others ?? [])].map((one, n) => one.part.name || `part ${n + 1}`)
