import { ref } from 'vue'
import { describe, expect, it } from 'vitest'

import type { BenchNow } from '@/features/bench/projected'
import { useBenchAction } from '@/features/bench/useBenchAction'

const bench = (more: object = {}) => ({ state: 'open', next: null, ...more }) as unknown as BenchNow
const next = { does: 'done', label: 'Done' } as const
const oil = { does: 'oil', label: 'Oil is on' } as const
const unread = { readings: [], next: { does: 'done', label: 'Done, not measured' } }

/** What the button says over a bench, with what the screen holds beside it. */
const says = (now: BenchNow | null, more: object = {}) => {
  const screen = { bench: ref(now), typed: ref(''), first: ref(null), size: ref(null), ...more }
  return useBenchAction(screen as never).value?.label ?? null
}

describe('the large button', () => {
  it.each([
    ['says nothing of a closed job', bench({ state: 'closed', next }), {}, null],
    ['says what the server says', bench({ next }), {}, 'Done'],
    ['says nothing where nothing is a default', bench(), {}, null],
    ['says first what is settled at the screen', bench({ next }), { first: ref(oil) }, 'Oil is on'],
    ['says what the size is for that is looked at', bench(), { size: ref(unread) }, 'Done, not measured'],
    ['takes in what is typed', bench(), { size: ref(unread), typed: ref('12.3') }, 'Record'],
    [
      'asks for the zero whatever is typed',
      bench({ next }),
      { size: ref(unread), typed: ref('12.3') },
      'Done',
    ],
  ])('%s', (_, now, more, label) => {
    expect(says(now as BenchNow, more)).toBe(label)
  })
})
