import { type Ref, ref, watch } from 'vue'

/** A ref kept in the browser; unreadable or forbidden storage falls back to `initial`. */
export function stored<T>(key: string, initial: T, readable: (value: unknown) => value is T): Ref<T> {
  const value = ref(initial) as Ref<T>
  try {
    const kept: unknown = JSON.parse(localStorage.getItem(`conch.${key}`) ?? 'null')
    if (readable(kept)) value.value = kept
  } catch {
    // Storage is off or holds something else: start from the initial value.
  }
  watch(
    value,
    (now) => {
      try {
        localStorage.setItem(`conch.${key}`, JSON.stringify(now))
      } catch {
        // Storage is off: the value lasts as long as the page.
      }
    },
    { deep: true },
  )
  return value
}
