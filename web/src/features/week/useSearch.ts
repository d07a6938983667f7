import { useQueryClient } from '@tanstack/vue-query'
import { onScopeDispose, ref } from 'vue'

import { asProblem, ask, client, type Schemas } from '@/shared/api/client'

const LOOK_MS = 700

/** The search for a better order: begun, watched and stopped from here. It goes on without the page. */
export function useSearch() {
  const queries = useQueryClient()
  const found = ref<Schemas['SearchShown'] | null>(null)
  const trouble = ref('')
  let timer = 0
  async function look(request: Promise<Schemas['SearchShown']>) {
    window.clearTimeout(timer)
    try {
      found.value = await request
      trouble.value = ''
    } catch (failed) {
      trouble.value = asProblem(failed).message
      return
    }
    if (found.value.runs)
      timer = window.setTimeout(() => void look(ask(client.GET('/api/week/search'))), LOOK_MS)
    else await queries.invalidateQueries({ queryKey: ['week'] })
  }
  const begin = () => look(ask(client.POST('/api/week/search')))
  const stop = () => look(ask(client.DELETE('/api/week/search')))
  onScopeDispose(() => window.clearTimeout(timer))
  return { found, trouble, begin, stop }
}
