import { readFileSync } from 'node:fs'

import { describe, expect, it } from 'vitest'

import { type BenchNow, BY_ITSELF, projected } from '@/features/bench/projected'
import type { Bench, Plan } from '@/shared/api/client'
import type { Waiting } from '@/shared/jobs/outbox'

interface Told {
  before: Bench
  plan: Plan
  said: Waiting['said']
  after: Bench
}

/** What the server answered to random acts, one file a run (`server/jobs/tests/test_projected.py`). */
const { labels, histories } = JSON.parse(readFileSync(process.env.CONCH_HISTORIES ?? '', 'utf8')) as {
  labels: unknown
  histories: Told[]
}
const passing = ['snug', 'wrings']

/** What only the server can say of the next act: whether a reading is on size, what a nut binds for, when it is due. */
const UNKNOWN = ['reading', 'verdict', 'setting']
type Button = Pick<BenchNow, 'before' | 'next'> & { sizes: { next: BenchNow['next'] }[] }
const buttons = (bench: Button) => [bench.before, bench.next, ...bench.sizes.map((one) => one.next)]

const seen = (bench: Pick<Bench, 'piece' | 'good' | 'scrapped' | 'zero' | 'unread' | 'step' | 'steps'>) => ({
  piece: bench.piece,
  good: bench.good,
  scrapped: bench.scrapped,
  zero: bench.step ? bench.zero !== '' : false,
  unread: bench.unread.length,
  step: bench.step?.key ?? null,
  done: bench.step ? bench.steps.filter((one) => one.state === 'done').map((one) => one.key) : [],
})

describe('what the page goes on by itself, without its server', () => {
  it('calls each act as the core does', () => expect(BY_ITSELF).toEqual(labels))
  it.each(histories.map((one, n) => [n, one.said.kind, one] as const))(
    'act %i, %s: as the server then answers',
    (_, __, { before, plan, said, after }) => {
      const waits: Waiting = { key: 'k', said, at: 0, refused: '', code: '' }
      const now = projected(before, [waits], plan, (code) => passing.includes(code))
      const own = seen(now)
      // The plan of the next part is the server's to tell: the page waits for it.
      if (after.part !== before.part) expect(own.step).toBeNull()
      else expect(own).toEqual(seen(after))
      const known = after.step && after.step.measure !== 'verdict' && !UNKNOWN.includes(said.kind)
      if (known && after.part === before.part) expect(buttons(now)).toEqual(buttons(after))
    },
  )
})
