import type { Bench, Operation, Plan, Schemas } from '@/shared/api/client'
import type { Waiting } from '@/shared/jobs/outbox'

type NextAct = Schemas['NextAct']
type Reading = Schemas['ReadingShown'] & { waits?: boolean }
/** A size of the step; `cut` is null while the server cannot say what comes next. */
export interface SizeNow {
  measured: Schemas['SizeNowShown']['measured']
  readings: Reading[]
  cut: Schemas['CutShown'] | null
  judged: Schemas['SizeNowShown']['judged']
  next: NextAct | null
}
/** The bench as the server told it last, with what waits on this device gone on from there. */
export type BenchNow = Omit<Bench, 'sizes'> & { sizes: SizeNow[]; ahead: boolean }

/** As typed: nothing is worked out of it here. */
function asTyped(typed: string, unit: string): Reading {
  const told = { text: typed, unit: /[a-z"]/i.test(typed) ? '' : unit }
  return {
    reading: { inch: told, mm: told },
    dialled: null,
    stated: false,
    came_off: null,
    by: '',
    waits: true,
  }
}

type Standing = BenchNow['steps'][number]
/** What the large button is for where no server says so; a test holds them against the core's. */
export const BY_ITSELF = {
  why: { does: 'why', label: 'Give a reason, or scrap it' },
  oil: { does: 'oil', label: 'Oil is on' },
  zero: { does: 'zero', label: 'Tool touched off' },
  read: { does: 'read', label: 'Record' },
} satisfies Partial<Record<NextAct['does'], NextAct>>

const unread = (operation: Operation, { first, done }: Standing): SizeNow[] =>
  operation.dimensions.map(({ measured }, n) => ({
    measured,
    readings: [],
    cut: null,
    judged: null,
    next: n ? done : first,
  }))
/** What comes next once the zero is found: the sizes of the step say so, where it has some. */
const afterZero = (step: Operation | null, standing: Standing | undefined): NextAct | null =>
  step?.dimensions.length ? null : (standing?.first ?? null)
const here = (now: BenchNow) => now.steps.find((one) => one.key === now.step?.key)

/** Nothing of what the server said of the step before speaks of this one. */
const UNSAID = {
  hindrance: '',
  verdict: null,
  adjusted: false,
  advice: null,
  contradiction: '',
  preset: null,
  causes: [],
  cause: null,
  sized: null,
  count: null,
  outdated: null,
}

function at(now: BenchNow, key: string | undefined, plan: Plan | null): BenchNow {
  const step = plan?.operations.find((one) => one.key === key) ?? null
  const standing = now.steps.find((one) => one.key === key)
  const oil: NextAct[] = step?.oil && !standing?.zero ? [BY_ITSELF.oil] : []
  return {
    ...now,
    ...UNSAID,
    steps: now.steps.map((one) => (one.key === key ? { ...one, state: 'now' } : one)),
    step,
    sizes: step && standing ? unread(step, standing) : [],
    zero: standing?.zero ?? '',
    before: oil,
    next: standing?.zero ? BY_ITSELF.zero : afterZero(step, standing),
    due: { now: true, piece: now.piece },
    drawing: (step && plan?.drawings[step.chucking - 1]) ?? now.drawing,
  }
}

/** Whether a holding ends with a step: the one that follows is of another, or there is none. */
const turnsAfter = (here: string | undefined, following: string | undefined, plan: Plan | null) => {
  const of = (key: string | undefined) => plan?.operations.find((one) => one.key === key)?.chucking
  return of(here) !== of(following)
}

/** On to the piece that the server named for the end of this holding, at the step that follows for it. */
function turn(now: BenchNow, steps: BenchNow['steps'], plan: Plan | null): BenchNow {
  const [to, ...turns] = now.turns
  const whole = steps.every((one) => one.state === 'done')
  const from = steps.findIndex((one) => one.key === to?.step)
  const states = steps.map((one, n) => ({
    ...one,
    state: n < from ? ('done' as const) : ('to do' as const),
    zero: one.next_zero,
  }))
  const made = now.good + (whole ? 1 : 0)
  return at({ ...now, good: made, turns, piece: to?.piece ?? now.piece, steps: states }, to?.step, plan)
}

function next(now: BenchNow, plan: Plan | null): BenchNow {
  const here = now.step?.key
  const steps = now.steps.map((one) => (one.key === here ? { ...one, state: 'done' as const } : one))
  const following = steps.find((one) => one.state !== 'done')
  const turned = now.turns[0] && turnsAfter(here, following?.key, plan) ? turn(now, steps, plan) : null
  if (turned) return turned
  if (following) return at({ ...now, steps }, following.key, plan)
  return piece(now, plan, true)
}

function piece(now: BenchNow, plan: Plan | null, good: boolean): BenchNow {
  const made = { good: now.good + (good ? 1 : 0), scrapped: now.scrapped + (good ? 0 : 1) }
  const steps = now.steps.map((one) => ({ ...one, state: 'to do' as const, zero: one.next_zero }))
  const fresh = { ...now, ...made, piece: now.piece + 1, steps }
  return made.good >= now.quantity
    ? { ...fresh, step: null, sizes: [], before: [], next: null }
    : at(fresh, steps[0]?.key, plan)
}

/** The tool's zero is found: at this piece, and at those to come where the lathe keeps it. */
function touchedOff(now: BenchNow, keeps: string): BenchNow {
  const stays = keeps ? keeps === 'kept' : now.zeros_stay
  const steps = now.steps.map((one) =>
    one.key === now.step?.key ? { ...one, zero: '', next_zero: stays ? '' : one.next_zero } : one,
  )
  const next = afterZero(now.step, here(now))
  const before = now.step?.oil ? [BY_ITSELF.oil] : []
  return {
    ...now,
    ...{ zero: '', steps, before, next },
    zeros_stay: stays,
    asks_keeping: now.asks_keeping && !keeps,
  }
}

function gone_on(now: BenchNow, { said }: Waiting, plan: Plan | null, passes: (code: string) => boolean) {
  switch (said.kind) {
    case 'reading': {
      const reading = said.reading ?? ''
      const one = asTyped(reading, said.unit || now.unit)
      const sizes = now.sizes.map((size) =>
        size.measured === (said.measured || now.sizes[0]?.measured)
          ? {
              ...size,
              readings: [...size.readings, one],
              cut: null,
              judged: null,
              next: here(now)?.done ?? null,
            }
          : size,
      )
      return { ...now, sizes, hindrance: '' }
    }
    case 'verdict': {
      const reading = said.reading ?? ''
      const code = (said.verdict || 'size-in') as NonNullable<Bench['verdict']>['code']
      const good = reading !== '' || passes(code)
      const verdict = { code, words: reading, passes: good, metal: good ? 'right' : 'unclear' } as const
      return {
        ...now,
        ...UNSAID,
        verdict,
        before: [],
        next: good ? (here(now)?.done ?? null) : BY_ITSELF.why,
      }
    }
    case 'setting':
      return said.since ? now : { ...now, adjusted: true, next: null }
    case 'read':
      return { ...now, unread: [] }
    case 'zero':
      return touchedOff(now, said.keeps ?? '')
    case 'done':
    case 'accept':
      return next(now, plan)
    case 'scrap':
      return piece(now, plan, false)
    default:
      return now
  }
}

/**
 * Where the work stands on this device: as the server said, and on from there by what waits. What only the server can
 * tell is left open: the next cut, what to do with a die.
 */
export function projected(
  bench: Bench,
  waiting: readonly Waiting[],
  plan: Plan | null,
  passes: (code: string) => boolean,
): BenchNow {
  const start: BenchNow = { ...bench, ahead: false }
  return waiting
    .filter((one) => one.refused === '')
    .reduce((now, one) => ({ ...gone_on(now, one, plan, passes), ahead: true }), start)
}
