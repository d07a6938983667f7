import { useQuery } from '@tanstack/vue-query'
import { computed, ref, shallowRef, watch } from 'vue'

import { asProblem, type Problem } from '@/shared/api/client'

/** How long a text may stay unreadable before it is said: half a thread is no error while one types. */
const PATIENCE_MS = 350
/** How long the answer to what was typed before is kept: taken back, it is there again at once. */
const KEPT_MS = 30_000

/**
 * An answer asked for at each change of what is typed; nothing typed is no question. The last answer stands until there is
 * another. `name` tells one kind of question from the others.
 */
export function useLive<Asked, T>(
  name: string,
  asked: () => Asked | null,
  question: (asked: Asked) => Promise<T>,
) {
  const now = computed(asked)
  const found = shallowRef<T | null>(null)
  const problem = ref<Problem | null>(null)
  const { data, error } = useQuery({
    queryKey: [name, now],
    queryFn: ({ queryKey }) => question(queryKey[1] as Asked),
    enabled: () => now.value !== null,
    structuralSharing: false,
    gcTime: KEPT_MS,
    shallow: true,
  })
  watch(
    [now, data],
    ([typed, answer]) => {
      if (typed !== null && answer === undefined) return
      found.value = answer === undefined ? null : (answer as T)
      problem.value = null
    },
    { immediate: true },
  )
  watch(error, (failed, _, done) => {
    if (failed === null) return
    const timer = window.setTimeout(() => (problem.value = asProblem(failed)), PATIENCE_MS)
    done(() => window.clearTimeout(timer))
  })
  return { found, problem }
}
