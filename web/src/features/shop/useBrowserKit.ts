import { computed, ref } from 'vue'

const DRILLS = 'conch.drills'
const TOLD = 'conch.moved-to-the-shop'

/** What this browser remembers of a shop, from before the shop was kept: as lines to be put in it, once. */
export function useBrowserKit() {
  const read = (key: string): unknown => {
    try {
      return JSON.parse(localStorage.getItem(key) ?? 'null')
    } catch {
      return null
    }
  }
  const drills = read(DRILLS)
  const told = ref(read(TOLD) === true)
  const lines = computed(() =>
    told.value || typeof drills !== 'string'
      ? []
      : drills
          .split(/[,;\n]/)
          .map((one) => one.trim())
          .filter((one) => one && !one.startsWith('# '))
          .map((one) => `${one} drills`),
  )
  /** It is in the shop now, or nobody wants it there: never offered again, and the list counts no more. */
  function done() {
    told.value = true
    localStorage.setItem(TOLD, 'true')
    localStorage.removeItem(DRILLS)
  }
  return { lines, done }
}
