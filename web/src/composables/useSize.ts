import { type Ref, ref, watch } from 'vue'

import { asProblem, ask, client, type Problem, type Schemas } from '@/api/client'

/** How long a text may stay unreadable before it is said: half a thread is no error while one types. */
const PATIENCE_MS = 350

/** The size of the thread in `text`, asked at each keystroke; an answer that comes late is dropped. */
export function useSize(text: Ref<string>) {
  const size = ref<Schemas['SizeOut'] | null>(null)
  const problem = ref<Problem | null>(null)
  let asked = 0
  watch(text, async (typed) => {
    const mine = ++asked
    if (!typed.trim()) {
      size.value = null
      problem.value = null
      return
    }
    try {
      const found = await ask(client.GET('/api/size', { params: { query: { q: typed } } }))
      if (mine !== asked) return
      size.value = found
      problem.value = null
    } catch (error) {
      await new Promise((done) => window.setTimeout(done, PATIENCE_MS))
      if (mine === asked) problem.value = asProblem(error)
    }
  })
  return { size, problem }
}
