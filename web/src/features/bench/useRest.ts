import { onScopeDispose, ref, watch } from 'vue'

/** How long the eye needs to see that something else stands there now (ms): a second tap comes within half a second. */
export const REST_MS = 700

/**
 * A press is meant for what stood there when the finger came down, and for what the eye has had time to read. `what`
 * tells that apart; it rests a moment whenever it changes.
 */
export function useRest(what: () => string) {
  const resting = ref(false)
  let timer = 0
  let held: string | null = null
  watch(
    what,
    () => {
      resting.value = true
      window.clearTimeout(timer)
      timer = window.setTimeout(() => (resting.value = false), REST_MS)
    },
    { immediate: true, flush: 'sync' },
  )
  onScopeDispose(() => window.clearTimeout(timer))
  /** The finger came down, or a key. */
  const down = () => (held = what())
  /** Whether what is pressed now is what was meant; a press without a finger, of a screen reader, is. */
  function meant(): boolean {
    const before = held
    held = null
    return !resting.value && (before === null || before === what())
  }
  return { resting, down, meant }
}
