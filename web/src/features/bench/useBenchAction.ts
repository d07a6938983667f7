import { computed, type Ref } from 'vue'

import type { BenchNow, SizeNow } from '@/features/bench/projected'
import type { Schemas } from '@/shared/api/client'

/** What the button says where it takes in what is typed. */
export const RECORD = 'Record'

export interface Action {
  label: string
  run: () => unknown
}

export interface BenchActs {
  record: (kind: Schemas['EntryIn']['kind']) => unknown
  finish: () => unknown
  read: () => unknown
  askWhy: () => unknown
  focus: () => unknown
  notThat: () => unknown
  oiled: () => unknown
}

/** What the screen holds beside the bench itself. */
export interface BenchScreen {
  bench: Ref<BenchNow | null | undefined>
  typed: Ref<string>
  /** How many of the things that a nut may bind for were looked at, and were not it. */
  ruled: Ref<number>
  size: Ref<SizeNow | null>
  drives: Ref<boolean>
  /** What must be on the tool before it turns; "" where it is. */
  oil: Ref<string>
}

/** The one large button: what it says is what Enter does. */
export function useBenchAction(screen: BenchScreen, acts: BenchActs) {
  const whole = (now: BenchNow): Action => ({
    label: now.steps.at(-1)?.key === now.step?.key ? 'Piece done' : 'Done',
    run: () => acts.record('done'),
  })
  const why: Action = { label: 'Say why, or scrap it', run: acts.askWhy }
  function gauging(now: BenchNow): Action | null {
    if (screen.ruled.value < now.causes.length) return { label: 'No, not that', run: acts.notThat }
    if (now.advice?.recut && !now.adjusted && !now.verdict?.passes)
      return { label: now.advice.again || `I moved the ${now.moves}`, run: () => acts.record('setting') }
    // The die was moved: what the nut says now is asked for above.
    if (now.adjusted && now.verdict && !now.verdict.passes) return null
    if (now.hindrance && now.verdict) return why
    // What the nut says is asked for above; nothing else is a default.
    if (!now.verdict)
      return now.due.now || now.cause ? null : { label: 'Done, not gauged', run: () => acts.record('done') }
    return whole(now)
  }
  function cutting(now: BenchNow): Action {
    const size = screen.size.value
    if (size && screen.typed.value.trim()) return { label: RECORD, run: acts.read }
    if (size?.readings.length && size.cut && !['on-size', 'past'].includes(size.cut.state))
      return { label: RECORD, run: acts.focus }
    if (now.hindrance) return why
    if (screen.drives.value && !size?.readings.length)
      return { label: 'Done, not measured', run: () => acts.record('done') }
    return whole(now)
  }
  return computed<Action | null>(() => {
    const now = screen.bench.value
    if (!now || now.state === 'closed') return null
    if (now.finished) return { label: 'Close the job', run: acts.finish }
    // The last piece is on its way to the server: there is no step to be done twice.
    if (!now.step) return null
    if (now.zero) return { label: 'Touched off', run: () => acts.record('zero') }
    if (screen.oil.value) return { label: 'Oil is on', run: acts.oiled }
    return now.step.measure === 'verdict' ? gauging(now) : cutting(now)
  })
}
