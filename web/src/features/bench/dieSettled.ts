import type { BenchNow } from '@/features/bench/projected'

/** Whether the die of the step is set for this piece, or as good as it can be where it stands; so where none is set. */
export const dieSettled = ({ preset, adjusted, opened_eighths }: BenchNow) =>
  !preset || adjusted || (preset.trials !== 0 && preset.eighths === opened_eighths)
