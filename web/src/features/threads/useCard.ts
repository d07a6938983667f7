import { ask, client } from '@/shared/api/client'
import { useLive } from '@/shared/api/useLive'

/** A thread, its classes, and what the shop has for it: all as typed. */
export interface CardQuery {
  q: string
  class: string
  internal_class: string
  engagement: string
  wire: string
  drill: string
  plating: string
}
export const EMPTY: CardQuery = {
  q: '',
  class: '',
  internal_class: '',
  engagement: '',
  wire: '',
  drill: '',
  plating: '',
}

/** The page of the thread asked for, at each keystroke. */
export function useCard(query: CardQuery) {
  return useLive(
    'card',
    () => (query.q.trim() ? JSON.stringify(query) : null),
    () => ask(client.GET('/api/threads/card', { params: { query: { ...query } } })),
  )
}

/** The address of a page as a file. */
export function cardFile(query: CardQuery, kind: string): string {
  const filled = Object.entries(query).filter(([, value]) => value !== '')
  return `/api/threads/card.${kind}?${new URLSearchParams(filled)}`
}
