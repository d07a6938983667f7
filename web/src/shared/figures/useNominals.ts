import { computed } from 'vue'

import { ask, client, type Shown, type Unit } from '@/shared/api/client'
import { useLive } from '@/shared/api/useLive'
import { useUnits } from '@/shared/figures/useUnits'

type Of = 'across' | 'length' | 'thread'

/** The sizes that a reading off a worn part was probably meant to be, and how far it lies from each, in words. */
export function useNominals(asked: () => { reading: string; unit: Unit; of: Of }) {
  const { told } = useUnits()
  const { found } = useLive(
    'nominals',
    () => (asked().reading.trim() ? asked() : null),
    (query) => ask(client.GET('/api/sample', { params: { query } })),
  )
  return {
    nominals: computed(() => found.value ?? []),
    /** A true minus sign means over. */
    off(under: Shown): string {
      const { text } = told(under)
      return text.startsWith('−') ? `${text.slice(1)} over` : `${text} under`
    },
  }
}
