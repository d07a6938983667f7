import { type Ref, ref, shallowRef, watch } from 'vue'

import { asProblem, type Problem } from '@/shared/api/client'

/** How long a text may stay unreadable before it is said: half a thread is no error while one types. */
const PATIENCE_MS = 350

/** An answer asked for at each change of what is typed; one that comes late is dropped, nothing typed is no question. */
export function useLive<Asked, T>(asked: () => Asked | null, question: (asked: Asked) => Promise<T>) {
  const found = shallowRef<T | null>(null) as Ref<T | null>
  const problem = ref<Problem | null>(null)
  let number = 0
  watch(
    asked,
    async (now) => {
      const mine = ++number
      if (now === null) {
        found.value = null
        problem.value = null
        return
      }
      try {
        const answer = await question(now)
        if (mine !== number) return
        found.value = answer
        problem.value = null
      } catch (error) {
        await new Promise((done) => window.setTimeout(done, PATIENCE_MS))
        if (mine === number) problem.value = asProblem(error)
      }
    },
    { immediate: true },
  )
  return { found, problem }
}
