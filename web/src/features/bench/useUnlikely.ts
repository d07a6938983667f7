import { computed, type Ref, ref, watch } from 'vue'

import type { Problem } from '@/shared/api/client'

/** What is asked about a reading, for as long as it stands in its field, and the instrument that sent it. */
export function useUnlikely(problem: Ref<Problem | null>, typed: Ref<string>, sentBy: Ref<string>) {
  const asked = ref('')
  const by = ref('')
  watch(problem, () => {
    asked.value = typed.value
    by.value = sentBy.value
  })
  const unlikely = computed(() => {
    const error = problem.value?.of('reading')
    return error?.code === 'unlikely' && asked.value === typed.value ? error : undefined
  })
  return { unlikely, by }
}
