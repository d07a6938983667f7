import type { Ref } from 'vue'

import { ask, client } from '@/shared/api/client'
import { useLive } from '@/shared/api/useLive'

/** The size of the thread in `text`, asked at each keystroke. */
export function useSize(text: Ref<string>) {
  const { found, problem } = useLive(
    'size',
    () => text.value.trim() || null,
    (q) => ask(client.GET('/api/size', { params: { query: { q } } })),
  )
  return { size: found, problem }
}
