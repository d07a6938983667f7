import { computed, type Ref } from 'vue'

import { type BenchNow, BY_ITSELF, type SizeNow } from '@/features/bench/projected'
import type { Schemas } from '@/shared/api/client'
import { clocks } from '@/shared/figures/dates'

/** What the large button is for: as the server says, or the end of a pause. */
export type Does = Schemas['NextAct']['does'] | 'go-on'
export type NextAct = Omit<Schemas['NextAct'], 'does'> & { does: Does }

/** What the screen holds beside the bench itself. */
export interface BenchScreen {
  bench: Ref<BenchNow | null | undefined>
  typed: Ref<string>
  /** What is settled at this screen first, and is not yet. */
  first: Ref<NextAct | null>
  size: Ref<SizeNow | null>
}

/** The one large button, as the server says: what is settled here first, what is typed, what the size or the step is for. */
export function useBenchAction({ bench, typed, first, size }: BenchScreen) {
  return computed<NextAct | null>(() => {
    const now = bench.value
    if (!now || now.state === 'closed') return null
    if (now.paused)
      return { does: 'go-on', label: `Go on: paused since ${clocks.format(new Date(now.paused))}` }
    const told = first.value ?? now.next
    if (told || !size.value) return told
    return typed.value.trim() ? BY_ITSELF.read : size.value.next
  })
}
