import type { Ref } from 'vue'

import { ask, client } from '@/api/client'
import { useLive } from '@/composables/useLive'

/** The size of the thread in `text`, asked at each keystroke. */
export function useSize(text: Ref<string>) {
  const { found, problem } = useLive(
    () => text.value.trim() || null,
    (q) => ask(client.GET('/api/size', { params: { query: { q } } })),
  )
  return { size: found, problem }
}
