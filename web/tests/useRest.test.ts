import { effectScope, ref } from 'vue'
import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest'

import { REST_MS, useRest } from '@/features/bench/useRest'

beforeEach(() => vi.useFakeTimers())
afterEach(() => vi.useRealTimers())

const resting = () => {
  const what = ref('1 turn Done')
  const scope = effectScope()
  const rest = scope.run(() => useRest(() => what.value))!
  return { what, rest, end: () => scope.stop() }
}

describe('a press is meant for what the eye has read', () => {
  it('takes none until the words have stood a moment, and again when they change', () => {
    const { what, rest, end } = resting()
    rest.down()
    expect(rest.meant()).toBe(false)
    vi.advanceTimersByTime(REST_MS)
    rest.down()
    expect(rest.meant()).toBe(true)
    what.value = '1 groove Done'
    rest.down()
    expect(rest.meant()).toBe(false)
    end()
  })

  it('takes none whose finger came down on other words', () => {
    const { what, rest, end } = resting()
    vi.advanceTimersByTime(REST_MS)
    rest.down()
    what.value = '1 groove Done'
    vi.advanceTimersByTime(REST_MS)
    expect(rest.meant()).toBe(false)
    end()
  })

  it('takes the press of a screen reader, which has no finger', () => {
    const { rest, end } = resting()
    vi.advanceTimersByTime(REST_MS)
    expect(rest.meant()).toBe(true)
    end()
  })
})
