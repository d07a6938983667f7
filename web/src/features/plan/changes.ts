import type { JobDocument } from '@/shared/api/client'
import { LINES } from '@/features/plan/facts'
import { namesOf, ownerOf } from '@/features/plan/parts'

type Tree = Record<string, unknown>
const isTree = (value: unknown): value is Tree => typeof value === 'object' && value !== null

/** Every place where two documents differ; a list that grew or shrank differs as a whole. */
export function differences(before: unknown, after: unknown, path = ''): string[] {
  if (JSON.stringify(before) === JSON.stringify(after)) return []
  if (!isTree(before) || !isTree(after)) return [path]
  if (Array.isArray(before) && Array.isArray(after) && before.length !== after.length) return [path]
  const keys = new Set([...Object.keys(before), ...Object.keys(after)])
  return [...keys].flatMap((key) => differences(before[key], after[key], path ? `${path}.${key}` : key))
}

const FACTS = new Map(
  LINES.flatMap((line) => line.facts).map((fact) => [fact.field, fact.label.toLowerCase()]),
)
/** What the fields of a section and of a hole are called. */
const OF_A_ROW: Record<string, string> = {
  across: 'diameter',
  measured: 'sample diameter',
  measured_length: 'sample length',
  cut: 'cut with',
  key: 'key size',
  key_length: 'keyway length',
  mate: 'mating part',
  runs: 'length is',
  by: 'finished with',
  at: 'distance from the right end',
  around: 'position round the part',
  count: 'number round the part',
  end: 'from',
  round: 'milled on a round of',
  undercut: 'undercut width',
}
const WHOLE: Record<string, string> = {
  title: 'title',
  others: 'parts',
  hazards: 'safety-critical use',
  'part.name': 'name of the part',
  'part.overall_length': 'overall length',
  'part.sections': 'sections',
  'part.bores': 'holes',
}

/** What was changed between two documents, in the words of its first field: "section 2, length". */
export function changeName(before: JobDocument, after: JobDocument): string {
  const [path] = differences(before, after)
  return path === undefined ? '' : pathName(path, after)
}

/** A place in a document, in the words of its field. */
export function pathName(path: string, after: JobDocument): string {
  const { part, field } = ownerOf(path)
  const row = /^part\.(sections|bores)\.(\d+)\.(\w+)$/.exec(field)
  const name = row
    ? `${row[1] === 'bores' ? 'hole' : 'section'} ${Number(row[2]) + 1}, ${OF_A_ROW[row[3] ?? ''] ?? row[3]}`
    : (FACTS.get(field) ?? WHOLE[field] ?? 'last change')
  return part > 1 ? `${namesOf(after)[part - 1] ?? ''}: ${name}` : name
}
