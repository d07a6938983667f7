import { beforeEach, describe, expect, it, vi } from 'vitest'

type Outbox = typeof import('@/shared/jobs/outbox')
let box: Outbox

const said = (kind: 'done' | 'reading', last: number) => ({ kind, step: 's', last, revision: 1 }) as never

beforeEach(async () => {
  localStorage.clear()
  vi.resetModules()
  box = await import('@/shared/jobs/outbox')
})

describe('what waits on the device', () => {
  it('keeps the order, and outlives the page', async () => {
    box.put(1, said('reading', 4))
    box.put(1, said('done', 4))
    vi.resetModules()
    const opened = (await import('@/shared/jobs/outbox')) as Outbox
    expect(opened.waitingOf(1).value.map((one) => one.said.kind)).toEqual(['reading', 'done'])
  })

  it('lets those that follow see what was stored before them', () => {
    box.put(1, said('reading', 4))
    box.put(1, said('done', 4))
    const [first] = box.waitingOf(1).value
    box.sent(1, first!.key, { last: 5, revision: 2 })
    expect(box.waitingOf(1).value.map((one) => [one.said.kind, one.said.last, one.said.revision])).toEqual([
      ['done', 5, 2],
    ])
    box.sent(1, first!.key, { last: 9, revision: 9 })
    expect(box.waitingOf(1).value[0]!.said.last).toBe(5)
  })

  it('sends what was refused once more under a key of its own, the others after it', () => {
    box.put(1, said('done', 4))
    box.put(1, said('done', 4))
    const [first, second] = box.waitingOf(1).value
    box.refuse(1, first!.key, 'too large', 'needs-reason')
    expect(box.waitingJobs.value).toEqual([{ job: 1, count: 2, refused: 'too large' }])
    box.again(1, { last: 6, revision: 1 }, { kind: 'accept', reason: 'it will do' })
    const [now, after] = box.waitingOf(1).value
    expect([now!.said.kind, now!.refused, now!.key === first!.key]).toEqual(['accept', '', false])
    expect(after!.key).toBe(second!.key)
    box.drop(1, now!.key)
    box.drop(1, after!.key)
    expect(box.waitingJobs.value).toEqual([])
  })

  it('holds what another window put in', () => {
    const other = { key: 'k', said: said('done', 2), at: 0, refused: '', code: '' }
    localStorage.setItem('conch.outbox', JSON.stringify({ 7: [other] }))
    window.dispatchEvent(new StorageEvent('storage', { key: 'conch.outbox' }))
    expect(box.waitingOf(7).value).toHaveLength(1)
    box.put(7, said('done', 2))
    expect(box.waitingOf(7).value.map((one) => one.key)[0]).toBe('k')
    expect(box.waitingOf(7).value).toHaveLength(2)
  })

  it('takes nothing for what waits that is none', async () => {
    localStorage.setItem('conch.outbox', JSON.stringify({ 1: 'x', 2: [{ key: 5 }], 3: [null] }))
    vi.resetModules()
    const opened = (await import('@/shared/jobs/outbox')) as Outbox
    expect(opened.waitingJobs.value).toEqual([])
  })
})
