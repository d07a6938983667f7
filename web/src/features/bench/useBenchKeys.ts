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
    { key: 'k', label: 'back one step', run: does.back, whenEmpty: true },
    { key: 'z', label: 'undo', run: does.undo, whenEmpty: true },
    { key: 'd', label: 'what the large button says', run: does.press, whenEmpty: true },
    { key: 'n', label: 'note', run: does.note, whenEmpty: true },
    { key: 'u', label: 'units: as the job, in, mm', run: turnUnits, whenEmpty: true },
    { key: 'p', label: 'the whole plan', run: does.plan, whenEmpty: true },
    ...VERDICTS.map((n) => ({
      key: String(n),
      label: 'the verdict',
      alone: true,
      run: () => does.verdict(n - 1),
    })),
  ])
}
