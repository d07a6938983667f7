import { describe, expect, it } from 'vitest'

import { merge } from '@/features/plan/merge'
import type { JobDocument } from '@/shared/api/client'

const base = {
  title: 'Studs',
  quantity: '6',
  notes: '',
  part: {
    sections: [
      { id: 's1', length: '1' },
      { id: 's2', length: '2' },
    ],
    bores: [],
  },
  others: [],
} as unknown as JobDocument
const changed = (change: (document: never) => void) => {
  const document = structuredClone(base)
  change(document as never)
  return document
}
type Loose = { title: string; quantity: string; part: { sections: { id?: string; length: string }[] } }
const mine = (change: (document: Loose) => void) => changed(change as never)

describe('two hands on one job', () => {
  it('keeps each change that stands alone', () => {
    const own = mine((d) => (d.title = 'Long studs'))
    const theirs = mine((d) => (d.part.sections[1]!.length = '3'))
    const { document, clashes } = merge(base, own, theirs)
    expect(clashes).toEqual([])
    expect((document as unknown as Loose).title).toBe('Long studs')
    expect((document as unknown as Loose).part.sections[1]!.length).toBe('3')
  })

  it('keeps what was typed here where both changed one place, and tells the place', () => {
    const own = mine((d) => (d.part.sections[0]!.length = '4'))
    const theirs = mine((d) => (d.part.sections[0]!.length = '5'))
    const { document, clashes } = merge(base, own, theirs)
    expect((document as unknown as Loose).part.sections[0]!.length).toBe('4')
    expect(clashes.map((one) => [one.path, one.mine, one.theirs])).toEqual([
      ['part.sections.0.length', '4', '5'],
    ])
  })

  it('is no clash where both typed the same', () => {
    const both = () => mine((d) => (d.quantity = '8'))
    expect(merge(base, both(), both()).clashes).toEqual([])
  })

  it('tells a row that was changed here and taken out there, as one place', () => {
    const own = mine((d) => (d.part.sections[1]!.length = '9'))
    const theirs = mine((d) => d.part.sections.pop())
    const { clashes } = merge(base, own, theirs)
    expect(clashes.map((one) => one.path)).toEqual(['part.sections'])
  })

  it('forgets no place that was not settled', () => {
    const own = mine((d) => (d.title = 'Mine'))
    const theirs = mine((d) => (d.title = 'Theirs'))
    const first = merge(base, own, theirs)
    const again = merge(theirs, first.document, theirs, first.clashes)
    expect(again.clashes.map((one) => [one.mine, one.theirs])).toEqual([['Mine', 'Theirs']])
  })

  it('loses nothing, whichever places are changed', () => {
    const places = ['title', 'quantity', 'notes'] as const
    for (let here = 0; here < 8; here++)
      for (let there = 0; there < 8; there++) {
        const set = (bits: number, word: string) =>
          changed(
            (d: Record<string, string>) =>
              places.forEach((p, n) => bits & (1 << n) && (d[p] = word)) as never,
          )
        const { document, clashes } = merge(base, set(here, 'here') as never, set(there, 'there') as never)
        const out = document as unknown as Record<string, string>
        places.forEach((place, n) => {
          const [own, other] = [here & (1 << n), there & (1 << n)]
          expect(out[place]).toBe(own ? 'here' : other ? 'there' : (base as never)[place])
          expect(clashes.some((one) => one.path === place)).toBe(Boolean(own && other))
        })
      }
  })
})
