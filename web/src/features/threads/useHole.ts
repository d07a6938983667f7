import { computed, reactive, ref, watch } from 'vue'

import { ask, client, type FieldError } from '@/shared/api/client'
import { stored } from '@/shared/state/stored'
import { useLive } from '@/shared/api/useLive'

const isText = (value: unknown): value is string => typeof value === 'string'

/** What stands after the last drill while the next one is typed. */
const UNFINISHED = /[\s,;]+$/

/** The tapped hole of a thread, for the drills the shop owns: its drills and metals stay from thread to thread. */
export function useHole(thread: () => string, internalClass: () => string) {
  /** Drills that were understood; what was refused is neither kept nor offered to the shop. */
  const kept = stored('drills', '', isText)
  const drills = ref(kept.value)
  /** What was refused, and why: it stands beside its field, and the answer does without it. */
  const refused = ref<{ text: string; error: FieldError } | null>(null)
  const metal = stored('hole.metal', 'mild-steel', isText)
  const bolt = stored('hole.bolt', 'mild-steel', isText)
  const typed = reactive({ percent: '', depth: '', through: '', piloted: false })
  const wrong = computed(() => (refused.value?.text === drills.value ? refused.value.error : undefined))
  const { found, problem } = useLive(
    'hole',
    () => ({
      q: thread(),
      internal_class: internalClass(),
      drills: wrong.value ? '' : drills.value,
      metal: metal.value,
      bolt: bolt.value,
      ...typed,
    }),
    (query) => ask(client.GET('/api/threads/hole', { params: { query } })),
  )
  watch(problem, (now) => {
    const error = now?.of('drills')
    if (!error) return
    refused.value = { text: drills.value, error }
    if (kept.value === drills.value) kept.value = ''
  })
  watch(found, () => {
    if (!wrong.value && !problem.value) kept.value = drills.value.replace(UNFINISHED, '')
  })
  return { found, problem, drills, wrong, metal, bolt, typed }
}
