import { turnUnits } from '@/shared/figures/useUnits'
import { useKeys } from '@/shared/state/useKeys'

/** How many verdicts have a key of their own. */
const VERDICTS = [1, 2, 3, 4, 5]

/** The bench's keys; a verdict's acts at once, for it stands on a button of its own. */
export function useBenchKeys(does: {
  back: () => void
  undo: () => void
  press: () => void
  note: () => void
  plan: () => void
  verdict: (place: number) => void
}) {
  useKeys([
    { key: 'k', label: 'go back one step', run: does.back, whenEmpty: true },
    { key: 'z', label: 'undo the last record', run: does.undo, whenEmpty: true },
    { key: 'd', label: 'press the large button', run: does.press, whenEmpty: true },
    { key: 'n', label: 'write a note', run: does.note, whenEmpty: true },
    { key: 'u', label: 'change units: job’s own, in, mm', run: turnUnits, whenEmpty: true },
    { key: 'p', label: 'open the plan', run: does.plan, whenEmpty: true },
    ...VERDICTS.map((n) => ({
      key: String(n),
      label: 'the verdict',
      alone: true,
      run: () => does.verdict(n - 1),
    })),
  ])
}
