import { effectScope } from 'vue'
import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest'

import { useWedge } from '@/features/bench/useWedge'
import { FASTEST_HAND_MS, useKeys } from '@/shared/state/useKeys'

beforeEach(() => vi.useFakeTimers())
afterEach(() => vi.useRealTimers())

const listening = () => {
  const verdict = vi.fn()
  const took = vi.fn()
  const scope = effectScope()
  scope.run(() => {
    useKeys([{ key: '2', label: 'the verdict', alone: true, run: verdict }])
    useWedge(took)
  })
  return { verdict, took, end: () => scope.stop() }
}

/** Keys so many ms apart, by their own clock. */
const press = (keys: string[], apart: number) =>
  keys.forEach((key, place) => {
    const event = new KeyboardEvent('keydown', { key, bubbles: true, cancelable: true })
    Object.defineProperty(event, 'timeStamp', { value: 1000 + apart * place })
    document.body.dispatchEvent(event)
  })

describe('a reading that an instrument types', () => {
  it('is taken whole, and its last digit is no verdict', () => {
    const { verdict, took, end } = listening()
    press([...'0.5402', 'Enter'], 5)
    vi.advanceTimersByTime(FASTEST_HAND_MS * 5)
    expect(took.mock.calls).toEqual([['0.5402']])
    expect(verdict).not.toHaveBeenCalled()
    end()
  })

  it('is not what a hand types: its digit is a verdict, and Enter is a key', () => {
    const { verdict, took, end } = listening()
    press(['2'], 0)
    vi.advanceTimersByTime(FASTEST_HAND_MS)
    press([...'0.54', 'Enter'], FASTEST_HAND_MS)
    expect(verdict).toHaveBeenCalledOnce()
    expect(took).not.toHaveBeenCalled()
    end()
  })
})
