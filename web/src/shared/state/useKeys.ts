import { onScopeDispose, shallowReactive } from 'vue'

export interface Key {
  key: string
  label: string
  run: () => void
  /** Works while a text field has the focus and is empty. */
  whenEmpty?: boolean
  /** Acts when no other key follows at once: an instrument that types its reading is not a press of its first digit. */
  alone?: boolean
}

/** Keys of a hand come slower than this, those of an instrument that types faster (ms). */
export const FASTEST_HAND_MS = 40

const active = shallowReactive<Key[]>([])
let listening = false

export function typingInto(target: EventTarget | null): 'no' | 'empty' | 'text' {
  if (target instanceof HTMLSelectElement) return 'text'
  if (target instanceof HTMLTextAreaElement) return 'text'
  if (!(target instanceof HTMLInputElement) || target.type === 'button') return 'no'
  return target.value === '' && target.dataset.keys === 'empty' ? 'empty' : 'text'
}

/** A list, a menu or a dialog is open: letters find something in it. A tooltip is none. */
const listOpen = () => document.querySelector('.v-overlay--active:not(.v-tooltip)') !== null

let waiting = 0

/** Another key follows: seen before anybody, for whoever takes that key keeps it from being seen later. */
const followed = () => window.clearTimeout(waiting)

function onKey(event: KeyboardEvent) {
  if (event.ctrlKey || event.metaKey || event.altKey || event.defaultPrevented) return
  const typing = typingInto(event.target)
  if (typing === 'text' || (event.key !== 'Escape' && listOpen())) return
  const found = active.findLast((k) => k.key === event.key && (typing === 'no' || k.whenEmpty))
  if (!found) return
  event.preventDefault()
  if (found.alone) waiting = window.setTimeout(found.run, FASTEST_HAND_MS)
  else found.run()
}

/** Keys that act while the calling component lives; the newest wins. */
export function useKeys(keys: Key[]) {
  if (!listening) {
    window.addEventListener('keydown', followed, true)
    window.addEventListener('keydown', onKey)
    listening = true
  }
  active.push(...keys)
  onScopeDispose(() => {
    for (const key of keys) active.splice(active.indexOf(key), 1)
  })
}

export const activeKeys = active
