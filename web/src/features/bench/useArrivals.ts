import { type Ref, ref, watch } from 'vue'

import { useInstruments } from '@/features/bench/useInstruments'
import { useWedge } from '@/features/bench/useWedge'

/** What an instrument that types its readings is called. */
const TYPES = 'from an instrument'

/**
 * What instruments send, or type: `take` reads it like what a person types. What comes while an act is under way is of
 * what stands there once that is over; what is not to be believed is told and not taken.
 */
export function useArrivals(job: number, busy: Ref<boolean>, take: (text: string, by: string) => void) {
  function arrived(text: string, by: string) {
    // Dropped, nobody would know.
    if (busy.value) watch(busy, () => arrived(text, by), { once: true })
    else take(text, by)
  }
  useWedge((text) => arrived(text, TYPES))
  const refusedBy = ref('')
  const instruments = useInstruments(job, (sent) => {
    refusedBy.value = sent.doubt ? `${sent.name}: ${sent.doubt}` : ''
    if (!sent.doubt) arrived(sent.typed, sent.name)
  })
  return { ...instruments, refusedBy }
}
