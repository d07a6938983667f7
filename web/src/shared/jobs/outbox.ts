import { forgetKept } from '@/shared/state/keptAnswers'
import { computed, ref } from 'vue'

import type { Bench, Schemas } from '@/shared/api/client'
import { newKey } from '@/shared/jobs/useActs'

export type Saw = Schemas['SawIn']
type EachWithout<T, K extends PropertyKey> = T extends unknown ? Omit<T, K> : never
/** One thing to record: what is said with it depends on its kind. */
export type Act = EachWithout<Schemas['EntryIn'], 'last' | 'revision' | 'step'>
/** The same as it is sent: at which step of the screen, over which job. */
export type Said = Act & Saw & { step: string }

/** An entry that is kept on this device until the server has it on its disk. */
export interface Waiting {
  /** Sent with it however often it is sent: it is done once. */
  key: string
  said: Said
  /** When it was recorded, ms since 1970. */
  at: number
  /** Why the server did not take it; "" while it was not refused. */
  refused: string
  /** The code of the refusal: "needs-reason", "moved-on". */
  code: string
}
type Boxes = Record<string, Waiting[]>

const PLACE = 'conch.outbox'

function isWaiting(value: unknown): value is Waiting {
  const one = value as Partial<Waiting> | null
  return typeof one?.key === 'string' && typeof one.said === 'object'
}

function read(): Boxes {
  try {
    const kept = JSON.parse(localStorage.getItem(PLACE) ?? '{}') as Record<string, unknown>
    return Object.fromEntries(
      Object.entries(kept).map(([job, list]) => [job, Array.isArray(list) ? list.filter(isWaiting) : []]),
    )
  } catch {
    // Storage is off, or holds something else: what is recorded lasts as long as the page.
    return {}
  }
}

/** Whether this browser keeps anything. */
const keeps = (() => {
  try {
    localStorage.setItem(`${PLACE}.tried`, '1')
    localStorage.removeItem(`${PLACE}.tried`)
    return true
  } catch {
    return false
  }
})()
const boxes = ref<Boxes>(read())
/** What waits, with what another window put in or sent a moment ago. */
const fresh = (): Boxes => (keeps ? read() : boxes.value)
// Another window of this browser put something in, or sent it.
window.addEventListener('storage', (event) => {
  if (event.key === PLACE) boxes.value = read()
})

/** Kept before anything else happens with it: what the page holds alone is lost with the page. */
function keep(job: number, list: Waiting[]) {
  const rest = Object.entries(fresh()).filter(([one, some]) => one !== String(job) && some.length)
  boxes.value = Object.fromEntries(list.length ? [...rest, [String(job), list]] : rest)
  const store = () => localStorage.setItem(PLACE, JSON.stringify(boxes.value))
  try {
    store()
  } catch {
    // What was recorded is worth more than what may be fetched again.
    forgetKept()
    try {
      store()
    } catch {
      // It is sent all the same.
    }
  }
}

const of = (job: number): Waiting[] => fresh()[job] ?? []

/** Puts an entry at the end of what waits for a job. */
export function put(job: number, said: Said) {
  keep(job, [...of(job), { key: newKey(), said, at: Date.now(), refused: '', code: '' }])
}

/** The one of that key is stored: those after it were recorded in sight of it. Another window may have sent it too. */
export function sent(job: number, key: string, now: Pick<Bench, 'last' | 'revision'>) {
  const list = of(job)
  if (!list.some((one) => one.key === key)) return
  const after = { last: now.last, revision: now.revision }
  const rest = list.filter((one) => one.key !== key)
  keep(
    job,
    rest.map((one) => ({ ...one, said: { ...one.said, ...after } })),
  )
}

/** The one of that key was refused, and why: it waits for what the person says. */
export function refuse(job: number, key: string, refused: string, code: string) {
  keep(
    job,
    of(job).map((one) => (one.key === key ? { ...one, refused, code } : one)),
  )
}

/** The first one once more, with a key of its own: as another act, where the person says so. */
export function again(job: number, saw: Saw, instead?: Act) {
  const [first, ...others] = of(job)
  if (!first) return
  const said = { ...(instead ?? first.said), step: first.said.step, ...saw }
  keep(job, [{ ...first, key: newKey(), said, refused: '', code: '' }, ...others])
}

export const drop = (job: number, key: string) =>
  keep(
    job,
    of(job).filter((one) => one.key !== key),
  )

/** What waits for a job, the first one first. */
export const waitingOf = (job: number) => computed(() => boxes.value[job] ?? [])

/** The jobs that something waits for, how many entries of each, and why the first was refused, "" while it was not. */
export const waitingJobs = computed(() =>
  Object.entries(boxes.value)
    .filter(([, list]) => list.length)
    .map(([job, list]) => ({ job: Number(job), count: list.length, refused: list[0]?.refused ?? '' })),
)
