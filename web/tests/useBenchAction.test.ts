import { ref } from 'vue'
import { describe, expect, it, vi } from 'vitest'

import type { BenchNow } from '@/features/bench/projected'
import { useBenchAction } from '@/features/bench/useBenchAction'

const step = (more: object = {}) => ({ key: 'turn:s1', measure: null, dimensions: [], ...more })
const at = (more: object = {}) =>
  ({
    state: 'open',
    finished: false,
    zero: '',
    steps: [{ key: 'turn:s1' }, { key: 'part-off' }],
    step: step(),
    causes: [],
    advice: null,
    adjusted: false,
    verdict: null,
    hindrance: '',
    due: { now: true, piece: 1 },
    cause: null,
    ...more,
  }) as unknown as BenchNow
const said = (bench: BenchNow | null, more: object = {}) => {
  const acts = Object.fromEntries(
    ['record', 'finish', 'read', 'askWhy', 'focus', 'notThat', 'oiled'].map((name) => [name, vi.fn()]),
  )
  const screen = {
    bench: ref(bench),
    typed: ref(''),
    ruled: ref(0),
    size: ref(null),
    drives: ref(false),
    oil: ref(''),
    ...more,
  }
  const action = useBenchAction(screen as never, acts as never).value
  action?.run()
  const done = Object.entries(acts).filter(([, act]) => act.mock.calls.length)
  return [
    action?.label ?? null,
    done.map(([name, act]) => [name, ...act.mock.calls[0]!].join(' '))[0] ?? null,
  ]
}

describe('what the large button says and does', () => {
  it.each([
    ['nothing of a closed job', at({ state: 'closed' }), {}, null, null],
    ['the end of a job', at({ finished: true, step: null }), {}, 'Close the job', 'finish '],
    ['a tool without its zero', at({ zero: 'touch' }), {}, 'Touched off', 'record zero'],
    ['a tap that wants its oil', at(), { oil: ref('cutting oil') }, 'Oil is on', 'oiled '],
    ['a zero before the oil', at({ zero: 'touch' }), { oil: ref('oil') }, 'Touched off', 'record zero'],
    ['a step', at(), {}, 'Done', 'record done'],
    ['the last one', at({ step: step({ key: 'part-off' }) }), {}, 'Piece done', 'record done'],
    [
      'something in its way',
      at({ hindrance: 'It is 0.2 too large.' }),
      {},
      'Say why, or scrap it',
      'askWhy ',
    ],
    [
      'a size that was never read',
      at(),
      { drives: ref(true), size: ref({ readings: [] }) },
      'Done, not measured',
      'record done',
    ],
    ['figures typed', at(), { typed: ref('12.3'), size: ref({ readings: [] }) }, 'Record', 'read '],
    ['a thread that must be gauged', at({ step: step({ measure: 'verdict' }) }), {}, null, null],
    [
      'one that need not',
      at({ step: step({ measure: 'verdict' }), due: { now: false, piece: 5 } }),
      {},
      'Done, not gauged',
      'record done',
    ],
    [
      'a die to be moved',
      at({
        step: step({ measure: 'verdict' }),
        verdict: { passes: false },
        advice: { recut: true, again: '' },
        moves: 'die',
      }),
      {},
      'I moved the die',
      'record setting',
    ],
  ])('%s', (_, bench, more, label, act) => {
    const [says, does] = said(bench as BenchNow, more)
    expect([says, (does ?? '').trim()]).toEqual([label, (act ?? '').trim()])
  })
})
