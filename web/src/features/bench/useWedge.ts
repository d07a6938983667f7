import { onScopeDispose } from 'vue'

import { FASTEST_HAND_MS, typingInto } from '@/shared/state/useKeys'

const OF_A_READING = /^[-+\d.,/ "a-z]$/i
const LEAST = 2

/**
 * Readings of an instrument that types them, ending in Enter, wherever the focus is but in a field: those are typed there
 * anyway. `take` gets the text of one.
 */
export function useWedge(take: (text: string) => void) {
  let text = ''
  let last = 0
  function onKey(event: KeyboardEvent) {
    if (event.ctrlKey || event.metaKey || event.altKey || typingInto(event.target) !== 'no') return
    const quick = event.timeStamp - last < FASTEST_HAND_MS
    last = event.timeStamp
    if (event.key === 'Enter' && quick && text.length >= LEAST && /\d/.test(text)) {
      // It would press what has the focus, too.
      event.preventDefault()
      event.stopPropagation()
      take(text.trim())
    }
    text = OF_A_READING.test(event.key) ? (quick ? text : '') + event.key : ''
  }
  window.addEventListener('keydown', onKey, true)
  onScopeDispose(() => window.removeEventListener('keydown', onKey, true))
}
