import { type Ref, ref, watch } from 'vue'

/**
 * What is typed of a reading and not recorded yet: it stands there again when the page is loaded anew, where the same
 * size of the same step is read `now`; "" as long as none is.
 */
export function useTyped(job: number, now: Ref<string>) {
  const place = `conch.typed.${job}`
  const typed = ref('')
  watch(now, (here) => {
    if (!here) return
    try {
      const [at, text] = JSON.parse(localStorage.getItem(place) ?? '["",""]') as [string, string]
      if (at === here && !typed.value) typed.value = text
    } catch {
      // What stands there is nothing of this page's.
    }
  })
  watch(typed, (text) => {
    try {
      if (text) localStorage.setItem(place, JSON.stringify([now.value, text]))
      else localStorage.removeItem(place)
    } catch {
      // There is no room: it stands there as long as the page is open.
    }
  })
  return typed
}
