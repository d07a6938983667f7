import { useQuery } from '@tanstack/vue-query'
import { computed, ref, shallowRef, watch } from 'vue'
import { useRoute, useRouter } from 'vue-router'

import { asProblem, ask, client, type Problem, type Schemas } from '@/shared/api/client'
import { useLive } from '@/shared/api/useLive'
import { useUnits } from '@/shared/figures/useUnits'
import { useActs } from '@/shared/jobs/useActs'
import { stored } from '@/shared/state/stored'
import { useNarrow } from '@/shared/state/useScreen'

type Kind = Schemas['HolderShown']['code']
type Typed = Omit<Schemas['HolderTyped'], 'unit'>
const FIRST = {
  metal: 'mild-steel',
  thread: '',
  seat: '',
  deep: '',
  blank: '',
  die: '',
  thick: '',
  other: '',
  other_thick: '',
  longest: '',
  bar: '',
  spigot: '',
  threads: '',
  taper: '',
  out: '',
  shank: '',
  plain: '',
  plain_long: '',
  wide: '',
  key: '',
}

/** A holder designed as one types, and the job that makes it; what is typed outlives a closed page. */
export function useHolder() {
  const route = useRoute()
  const router = useRouter()
  const { unit } = useUnits()
  const narrow = useNarrow()
  const kept = stored('holder', FIRST, (value): value is typeof FIRST => typeof value === 'object' && !!value)
  const typed = ref<Typed>({ ...FIRST, ...kept.value, ...threadOf(route.query.thread) })
  const { data: holders } = useQuery({
    queryKey: ['holders'],
    queryFn: () => ask(client.GET('/api/holders')),
    staleTime: Infinity,
  })
  const code = ref<Kind>('guide-bush')
  const holder = computed(() => holders.value?.find((one) => one.code === code.value))
  /** Everything that must be said is. */
  const whole = computed(
    () => !!holder.value?.asks.every((one) => one.optional || typed.value[one.field as keyof Typed]?.trim()),
  )
  /** Nothing that must be said is typed yet: an example is drawn, of the shop's own things where it has some. */
  const example = computed(
    () => !holder.value?.asks.some((one) => !one.optional && typed.value[one.field as keyof Typed]?.trim()),
  )
  const examples = computed(() =>
    Object.fromEntries(
      (holder.value?.asks ?? [])
        .filter((one) => !one.optional)
        .map((one) => [one.field, unit.value === 'in' ? one.inch : one.mm]),
    ),
  )
  /** Sizes of dimensions that one sets oneself, by their fields; each kind of holder has its own. */
  const own = ref<Record<string, string>>({})
  watch(code, () => (own.value = {}))
  const set = computed(() => Object.fromEntries(Object.entries(own.value).filter(([, size]) => size.trim())))
  const asked = computed(() => ({
    ...typed.value,
    ...(example.value ? examples.value : {}),
    unit: unit.value,
    own: set.value,
  }))
  /** Where the holder is as a file. */
  function fileAt(file: string, apart = false): string {
    const told = Object.entries({ ...typed.value, unit: unit.value }).filter(([, size]) => size)
    const query = new URLSearchParams(told as [string, string][])
    for (const [field, size] of Object.entries(set.value)) query.append('own', `${field}=${size}`)
    if (apart) query.set('apart', 'true')
    return `/api/holders/${code.value}/${file}?${query}`
  }
  const design = (kind: Kind, body: Schemas['HolderIn']) =>
    ask(
      client.POST('/api/holders/{kind}', {
        params: { path: { kind }, query: { narrow: narrow.value } },
        body,
      }),
    )
  const { found, problem } = useLive(
    'holder',
    () =>
      holder.value && (whole.value || example.value)
        ? { kind: code.value, body: asked.value, narrow: narrow.value }
        : null,
    ({ kind, body }) => design(kind, body),
  )

  const busy = ref(false)
  const trouble = shallowRef<Problem | null>(null)
  const send = useActs()
  async function make() {
    busy.value = true
    trouble.value = null
    try {
      const { document } = await design(code.value, asked.value)
      const job = await send(['start', document], (header) =>
        ask(client.POST('/api/jobs', { params: { header }, body: document })),
      )
      kept.value = FIRST
      await router.push({ name: 'plan', params: { id: job.id } })
    } catch (error) {
      trouble.value = asProblem(error)
    } finally {
      busy.value = false
    }
  }
  const remember = () => (kept.value = { ...FIRST, ...typed.value })
  return {
    unit,
    typed,
    own,
    holders,
    code,
    holder,
    whole,
    example,
    found,
    problem,
    busy,
    trouble,
    make,
    remember,
    fileAt,
  }
}

const threadOf = (thread: unknown) => (typeof thread === 'string' && thread ? { thread } : {})
