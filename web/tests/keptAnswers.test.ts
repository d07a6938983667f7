import { beforeEach, describe, expect, it } from 'vitest'

import { Problem } from '@/shared/api/client'
import { forgetKept, keepAnswer, keptAnswer, orKept } from '@/shared/state/keptAnswers'

const AWAY = new Problem(0, 'away')

describe('answers kept for when the server is away', () => {
  beforeEach(() => localStorage.clear())

  it('gives the last answer where the server is away, and nothing else instead of a refusal', async () => {
    await orKept('choices', '', () => Promise.resolve({ metals: 3 }))
    expect(await orKept('choices', '', () => Promise.reject(AWAY))).toEqual({ metals: 3 })
    const refused = new Problem(401, 'not known')
    await expect(orKept('choices', '', () => Promise.reject(refused))).rejects.toBe(refused)
    await expect(orKept('words', '', () => Promise.reject(AWAY))).rejects.toBe(AWAY)
  })

  it('keeps the jobs that were looked at last', async () => {
    for (let job = 1; job <= 12; job++) {
      keepAnswer('bench', job, { job })
      await new Promise((done) => setTimeout(done, 2))
    }
    expect(keptAnswer('bench', 4)).toBeNull()
    expect(keptAnswer('bench', 5)?.answer).toEqual({ job: 5 })
    expect(keptAnswer('bench', 12)?.answer).toEqual({ job: 12 })
  })

  it('gives way to what is stored nowhere else', () => {
    keepAnswer('bench', 1, { job: 1 })
    keepAnswer('me', '', { role: 'host' })
    forgetKept()
    expect(keptAnswer('bench', 1)).toBeNull()
    expect(keptAnswer('me', '')?.answer).toEqual({ role: 'host' })
  })

  it('reads nothing out of what is no answer', () => {
    localStorage.setItem('conch.kept.bench.7', '{broken')
    expect(keptAnswer('bench', 7)).toBeNull()
  })
})
