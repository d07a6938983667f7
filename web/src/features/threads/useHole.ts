import { reactive } from 'vue'

import { ask, client } from '@/shared/api/client'
import { stored } from '@/shared/state/stored'
import { useLive } from '@/shared/api/useLive'

const isText = (value: unknown): value is string => typeof value === 'string'

/** The tapped hole of a thread, for the drills the shop owns: its drills and metals stay from thread to thread. */
export function useHole(thread: () => string, internalClass: () => string) {
  const drills = stored('drills', '', isText)
  const metal = stored('hole.metal', 'mild-steel', isText)
  const bolt = stored('hole.bolt', 'mild-steel', isText)
  const typed = reactive({ percent: '', depth: '', through: '', piloted: false })
  const { found, problem } = useLive(
    'hole',
    () => ({
      q: thread(),
      internal_class: internalClass(),
      drills: drills.value,
      metal: metal.value,
      bolt: bolt.value,
      ...typed,
    }),
    (query) => ask(client.GET('/api/threads/hole', { params: { query } })),
  )
  return { found, problem, drills, metal, bolt, typed }
}
