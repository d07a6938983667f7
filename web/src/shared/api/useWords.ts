import { useQuery } from '@tanstack/vue-query'
import { computed } from 'vue'

import { ask, client } from '@/shared/api/client'
import { orKept } from '@/shared/state/keptAnswers'

/** Words of the trade that a newcomer may not know; they do not change while the page is open. */
export function useWords() {
  const { data: words, error } = useQuery({
    queryKey: ['words'],
    queryFn: () => orKept('words', '', () => ask(client.GET('/api/words'))),
    staleTime: Infinity,
  })
  const byName = computed(
    () =>
      new Map(
        (words.value ?? []).flatMap((one) =>
          [one.word, one.also].filter(Boolean).map((name) => [name.toLowerCase(), one] as const),
        ),
      ),
  )
  return { words, error, meaningOf: (name: string) => byName.value.get(name.toLowerCase())?.meaning ?? '' }
}
