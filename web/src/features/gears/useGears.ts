import { keepPreviousData, useQuery } from '@tanstack/vue-query'
import { computed, reactive, watch } from 'vue'
import { useRoute, useRouter } from 'vue-router'

import { ask, asProblem, client } from '@/shared/api/client'
import { useLathes } from '@/features/gears/useLathes'

const FIELDS = ['pitch', 'leadscrew', 'gearbox', 'gears', 'dial_teeth', 'dial_lines', 'length'] as const
const EXAMPLE = { pitch: '1.5 mm', leadscrew: '8 tpi' }
export type GearField = (typeof FIELDS)[number]

/** Trains for a pitch: what is typed stands in the address, so that a page can be kept and sent. */
export function useGears() {
  const route = useRoute()
  const router = useRouter()
  const typed = reactive(
    Object.fromEntries(FIELDS.map((field) => [field, String(route.query[field] ?? '')])) as Record<
      GearField,
      string
    >,
  )
  const lathes = useLathes()
  /** The wheels of a lathe of the shop; the only one's where nothing is typed. */
  function take(id: string) {
    const found = lathes.value.find((one) => one.id === id)
    if (!found) return
    for (const field of ['leadscrew', 'gearbox', 'gears', 'dial_teeth', 'dial_lines'] as const)
      typed[field] = found.said[field] ?? ''
  }
  watch(
    lathes,
    (all) => {
      const first = all.find((one) => one.said['leadscrew'])
      if (first && !typed.leadscrew && !typed.gears) take(first.id)
    },
    { immediate: true },
  )
  watch(typed, () => {
    const query = Object.fromEntries(Object.entries(typed).filter(([, text]) => text))
    void router.replace({ name: 'gears', query })
  })
  const whole = computed(() => typed.pitch.trim() !== '' && typed.leadscrew.trim() !== '')
  /** Nothing is typed of the pitch yet: an example is worked out, on the lathe's own gears where they are known. */
  const example = computed(() => typed.pitch.trim() === '')
  const asked = computed(() =>
    example.value
      ? { ...typed, ...EXAMPLE, ...(typed.leadscrew.trim() ? { leadscrew: typed.leadscrew } : {}) }
      : { ...typed },
  )
  const { data, error } = useQuery({
    queryKey: computed(() => ['gears', asked.value]),
    queryFn: () => ask(client.GET('/api/gears', { params: { query: asked.value } })),
    enabled: computed(() => whole.value || example.value),
    placeholderData: keepPreviousData,
    retry: false,
  })
  const problem = computed(() => (error.value && whole.value ? asProblem(error.value) : null))
  const wrong = (field: GearField) => problem.value?.errors.find((one) => one.field === field)?.message
  return { typed, lathes, take, found: data, wrong, whole, example, problem }
}
