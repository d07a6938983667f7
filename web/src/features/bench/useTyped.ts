import { type Ref, ref, watch } from 'vue'

import type { BenchNow } from '@/features/bench/projected'

/** What is typed of a reading and not recorded yet: it stands there again when the page is loaded anew, at its step. */
export function useTyped(job: number, bench: Ref<BenchNow | null | undefined>) {
  const place = `conch.typed.${job}`
  const typed = ref('')
  const where = () => (bench.value?.step ? `${bench.value.piece} ${bench.value.step.key}` : '')
  watch(where, (now) => {
    if (!now) return
    try {
      const [at, text] = JSON.parse(localStorage.getItem(place) ?? '["",""]') as [string, string]
      if (at === now && !typed.value) typed.value = text
    } catch {
      // What stands there is nothing of this page's.
    }
  })
  watch(typed, (text) => {
    try {
      if (text) localStorage.setItem(place, JSON.stringify([where(), text]))
      else localStorage.removeItem(place)
    } catch {
      // There is no room: it stands there as long as the page is open.
    }
  })
  return typed
}
