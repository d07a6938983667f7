import type { JobDocument } from '@/shared/api/client'
import { differences, pathName } from '@/features/plan/changes'
import { readField, writeField } from '@/features/plan/fields'

/** A place that was changed here and elsewhere, to something else. */
export interface Clash {
  path: string
  name: string
  mine: unknown
  theirs: unknown
}

const within = (inner: string, outer: string) => inner === outer || inner.startsWith(`${outer}.`)
const same = (one: unknown, other: unknown) => JSON.stringify(one) === JSON.stringify(other)

/**
 * What was changed here from `base`, and what was changed elsewhere, in one document: each change that stands alone is in
 * it; where both changed the same place it has what was typed here, and the place is told, with those that are `open` still.
 */
export function merge(base: JobDocument, mine: JobDocument, theirs: JobDocument, open: Clash[] = []) {
  const document = structuredClone(theirs)
  const elsewhere = differences(base, theirs)
  const clashes = new Map<string, Clash>()
  for (const path of differences(base, mine)) {
    const met = elsewhere.find((other) => within(path, other) || within(other, path))
    const at = met !== undefined && met.length < path.length ? met : path
    const [here, there] = [readField(mine, at), readField(theirs, at)]
    writeField(document, at, structuredClone(here))
    if (met !== undefined && !same(here, there))
      clashes.set(at, { path: at, name: pathName(at, mine), mine: here, theirs: there })
  }
  // What was not settled before is not settled by what came since.
  for (const clash of open) {
    const there = readField(theirs, clash.path)
    if (!clashes.has(clash.path) && !same(clash.mine, there))
      clashes.set(clash.path, { ...clash, theirs: there })
  }
  return { document, clashes: [...clashes.values()] }
}
