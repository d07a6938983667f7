import { stored } from '@/shared/state/stored'

/** Whether counts, passes and figures are spoken: one switch for all of the bench. */
export const aloud = stored('bench.aloud', false, (value): value is boolean => typeof value === 'boolean')
