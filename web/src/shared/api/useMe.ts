import { useQuery, useQueryClient } from '@tanstack/vue-query'
import { computed, onScopeDispose } from 'vue'

import { ask, client, NOT_KNOWN } from '@/shared/api/client'
import { orKept } from '@/shared/state/keptAnswers'

const KEY = ['me']

/** Who this device is to the server: its own machine, a fitter's, an onlooker's, or nobody known. */
export function useMe() {
  const { data: me } = useQuery({
    queryKey: KEY,
    queryFn: () => orKept('me', '', () => ask(client.GET('/api/me'))),
    staleTime: Infinity,
  })
  return {
    me,
    isHost: computed(() => me.value?.role === 'host'),
    /** It may look, and change nothing. */
    looksOnly: computed(() => me.value?.role === 'onlooker'),
  }
}

/** Asks again who this device is once the server says that it does not know it. */
export function useKnown() {
  const queries = useQueryClient()
  const ask = () => void queries.invalidateQueries({ queryKey: KEY })
  window.addEventListener(NOT_KNOWN, ask)
  onScopeDispose(() => window.removeEventListener(NOT_KNOWN, ask))
}
