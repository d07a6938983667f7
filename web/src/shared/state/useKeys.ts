import { onScopeDispose, shallowReactive } from 'vue'

export interface Key {
  key: string
  label: string
  run: () => void
  /** Works while a text field has the focus and is empty. */
  whenEmpty?: boolean
}

const active = shallowReactive<Key[]>([])
let listening = false

function typingInto(target: EventTarget | null): 'no' | 'empty' | 'text' {
  if (target instanceof HTMLSelectElement) return 'text'
  if (target instanceof HTMLTextAreaElement) return 'text'
  if (!(target instanceof HTMLInputElement) || target.type === 'button') return 'no'
  return target.value === '' && target.dataset.keys === 'empty' ? 'empty' : 'text'
}

function onKey(event: KeyboardEvent) {
  if (event.ctrlKey || event.metaKey || event.altKey || event.defaultPrevented) return
  const typing = typingInto(event.target)
  if (typing === 'text') return
  const found = active.findLast((k) => k.key === event.key && (typing === 'no' || k.whenEmpty))
  if (!found) return
  event.preventDefault()
  found.run()
}

/** Keys that act while the calling component lives; the newest wins. */
export function useKeys(keys: Key[]) {
  if (!listening) {
    window.addEventListener('keydown', onKey)
    listening = true
  }
  active.push(...keys)
  onScopeDispose(() => {
    for (const key of keys) active.splice(active.indexOf(key), 1)
  })
}

export const activeKeys = active
