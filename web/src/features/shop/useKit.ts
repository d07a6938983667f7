import { useQuery, useQueryClient } from '@tanstack/vue-query'
import { computed } from 'vue'

import { ask, client, type Schemas } from '@/shared/api/client'
import { OWNED, useOwned } from '@/shared/api/useOwned'
import { type ActHeader, useActs } from '@/shared/jobs/useActs'

export type Thing = Schemas['ThingShown']
export type Named = Schemas['NamedThing']
/** A thing to be put in. */
export type Said = Pick<Named, 'kind' | 'document'>

/** Every kind of thing, and what is asked of each. */
export const useKinds = () =>
  useQuery({ queryKey: ['kinds'], queryFn: () => ask(client.GET('/api/kit/kinds')), staleTime: Infinity })

/** What the shop owns, and what is done to it. */
export function useKit() {
  const queries = useQueryClient()
  const send = useActs()
  const { data, error } = useOwned()
  const things = computed(() => data.value?.things ?? [])
  /** Drawer by drawer, in the order they come. */
  const drawers = computed(() => {
    const found = new Map<string, Thing[]>()
    for (const thing of things.value) found.set(thing.drawer, [...(found.get(thing.drawer) ?? []), thing])
    return [...found].map(([name, inside]) => ({ name, inside }))
  })
  const show = (now: Schemas['KitShown']) => queries.setQueryData(OWNED, now)
  const again = () => queries.invalidateQueries({ queryKey: OWNED })
  async function add(wanted: Said[]) {
    const named = wanted.map(({ kind, document }) => ({ kind, document }))
    const act = (header: ActHeader) =>
      ask(client.POST('/api/kit', { params: { header }, body: { things: named } }))
    show(await send(['add', named], act))
    await queries.invalidateQueries({ queryKey: ['kit', 'threads'] })
  }
  /** Says something else of a thing: everything that was said of it before, with what is `said` now. */
  async function change(thing: Thing, said: Record<string, string>) {
    const { state, shop, place, notes } = thing
    const document = { ...thing.said, state, shop, place, notes, ...said }
    const body = { document, revision: thing.revision }
    try {
      await ask(client.PUT('/api/kit/{ident}', { params: { path: { ident: thing.id } }, body }))
    } finally {
      await again()
    }
  }
  async function retire(id: string, back = false) {
    const way = back ? '/api/kit/{ident}/restore' : '/api/kit/{ident}/retire'
    await ask(client.POST(way, { params: { path: { ident: id } } }))
    await again()
  }
  return { data, error, things, drawers, add, change, again, retire }
}
