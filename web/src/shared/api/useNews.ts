import { useQueryClient } from '@tanstack/vue-query'
import { onScopeDispose } from 'vue'

import type { Schemas } from '@/shared/api/client'
import { isOwn } from '@/shared/jobs/useActs'

type Change = Schemas['ChangeShown']
/** What is shown of a topic, by the keys it is kept under. */
const SHOWN: Record<Change['topic'], string[]> = {
  job: ['jobs', 'log', 'week'],
  kit: ['kit', 'week'],
  devices: ['devices'],
  week: ['week'],
}
const heard = new Set<(change: Change) => void>()

/**
 * Listens to what changes in the shop, while the page is in sight: a browser has few connections to one server, and what
 * is not seen is asked for again when one looks.
 */
export function useNews() {
  const queries = useQueryClient()
  let stream: EventSource | null = null
  function tell(event: MessageEvent<string>) {
    const change = JSON.parse(event.data) as Change
    for (const key of SHOWN[change.topic]) void queries.invalidateQueries({ queryKey: [key] })
    // Who did it knows it from the answer.
    if (!isOwn(change.key)) heard.forEach((take) => take(change))
  }
  function look() {
    const seen = document.visibilityState === 'visible'
    if (seen === (stream !== null)) return
    stream?.close()
    stream = seen ? new EventSource('/api/news') : null
    stream?.addEventListener('change', tell)
  }
  look()
  document.addEventListener('visibilitychange', look)
  onScopeDispose(() => {
    document.removeEventListener('visibilitychange', look)
    stream?.close()
  })
}

/** Runs when a job was changed on another page, here or on another device. */
export function useChanged(job: number, run: () => void) {
  const take = (change: Change) => {
    if (change.topic === 'job' && change.job === job) run()
  }
  heard.add(take)
  onScopeDispose(() => heard.delete(take))
}
