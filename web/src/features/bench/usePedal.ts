import { onScopeDispose, ref } from 'vue'

import { typingInto } from '@/shared/state/useKeys'
import { stored } from '@/shared/state/stored'

/** How long a switch is held down until it undoes (ms). */
const HELD_MS = 900

/**
 * A foot switch, or any one key: pressed and let go it does what the large button does, held it undoes. Which key it
 * sends is learned by pressing it once. While the button is not `there` the key is what it is elsewhere.
 */
export function usePedal(there: () => boolean, does: { press: () => void; undo: () => void }) {
  /** The name of its key; "" where there is none. */
  const pedal = stored('bench.pedal', '', (value): value is string => typeof value === 'string')
  const learning = ref(false)
  const refused = ref('')
  let down = false
  let timer = 0
  function learn(event: KeyboardEvent) {
    event.preventDefault()
    event.stopPropagation()
    if (event.key === 'Escape') learning.value = false
    else if (event.key.length === 1 && event.key !== ' ')
      refused.value = `That key types “${event.key}”. Set the switch to Enter, Space, Page Down or a function key.`
    else {
      pedal.value = event.code
      refused.value = ''
      learning.value = false
    }
  }
  function onDown(event: KeyboardEvent) {
    if (learning.value) return learn(event)
    if (event.code !== pedal.value || !pedal.value || !there()) return
    // A blank is typed where words are.
    if (event.code === 'Space' && typingInto(event.target) === 'text') return
    event.preventDefault()
    event.stopPropagation()
    if (event.repeat) return
    down = true
    // It may have been let go where nobody saw it.
    window.clearTimeout(timer)
    timer = window.setTimeout(() => {
      timer = 0
      does.undo()
    }, HELD_MS)
  }
  function onUp(event: KeyboardEvent) {
    if (!down || event.code !== pedal.value) return
    event.preventDefault()
    event.stopPropagation()
    down = false
    if (timer) does.press()
    window.clearTimeout(timer)
    timer = 0
  }
  window.addEventListener('keydown', onDown, true)
  window.addEventListener('keyup', onUp, true)
  onScopeDispose(() => {
    window.removeEventListener('keydown', onDown, true)
    window.removeEventListener('keyup', onUp, true)
    window.clearTimeout(timer)
  })
  return { pedal, learning, refused }
}
