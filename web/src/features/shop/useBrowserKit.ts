import { computed, ref } from 'vue'

import { habits } from '@/shared/jobs/useHabits'

const DRILLS = 'conch.drills'
const TOLD = 'conch.moved-to-the-shop'
const LATHE_TOLD = 'conch.lathe-moved-to-the-shop'

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
  const latheTold = ref(read(LATHE_TOLD) === true)
  const lines = computed(() =>
    told.value || typeof drills !== 'string'
      ? []
      : drills
          .split(/[,;\n]/)
          .map((one) => one.trim())
          .filter((one) => one && !one.startsWith('# '))
          .map((one) => `${one} drills`),
  )
  /** How the last jobs' lathe was, where it is no lathe of the shop: as one of it. */
  const lathe = computed(() => {
    const setup = (latheTold.value ? undefined : (habits('in').setup ?? habits('mm').setup)) ?? {}
    if (!setup.dial || setup.machine) return null
    const { dial, readout, mount, tools, run_down, lathe: weight } = setup
    const said = Object.entries({ dial, readout, mount, tools, run_down, weight })
    const known = said.flatMap(([name, value]) => (value ? [[name, String(value)]] : []))
    return { name: 'My lathe', ...Object.fromEntries(known) } as Record<string, string>
  })
  /** It is in the shop now, or nobody wants it there: never offered again, and the list counts no more. */
  function done() {
    told.value = true
    localStorage.setItem(TOLD, 'true')
    localStorage.removeItem(DRILLS)
  }
  function latheDone() {
    latheTold.value = true
    localStorage.setItem(LATHE_TOLD, 'true')
  }
  return { lines, lathe, done, latheDone }
}
