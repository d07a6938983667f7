import { onScopeDispose, ref } from 'vue'

function matching(query: string) {
  const asked = window.matchMedia(query)
  const found = ref(asked.matches)
  asked.addEventListener('change', () => (found.value = asked.matches))
  return found
}
const touched = matching('(pointer: coarse)')
const upright = matching('(max-width: 900px)')
const narrow = matching('(max-width: 600px)')
const dark = matching('(prefers-color-scheme: dark)')

/** Whether fingers do the pointing: a keyboard comes up over the page, and keys have no caps to name. */
export const useTouched = () => touched

/** Whether the system is asked for dark pages. */
export const useSystemDark = () => dark

/** Whether everything stands in one column: a tablet held upright, or a phone. */
export const useUpright = () => upright

/** Whether the screen is as narrow as a phone: drawings are asked for with larger letters beside smaller work. */
export const useNarrow = () => narrow

/** The height (px) that is left of the screen, an on-screen keyboard taken off. */
export function useHeightLeft() {
  const screen = window.visualViewport
  // Where one zooms in, less of the page is in sight, and no less room is there.
  const measured = () => (screen ? screen.height * screen.scale : window.innerHeight)
  const left = ref(measured())
  const measure = () => (left.value = measured())
  const on = screen ?? window
  on.addEventListener('resize', measure)
  onScopeDispose(() => on.removeEventListener('resize', measure))
  return left
}
