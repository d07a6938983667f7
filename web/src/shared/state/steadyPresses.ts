/** How far a finger may stray while it presses (px), and how long the click of its own press may be on its way (ms). */
const STRAY_PX = 12
const CLICK_MS = 350
const PRESSED = 'button, a[href], [role="button"]'

interface Press {
  button: HTMLElement
  x: number
  y: number
  /** When the finger was lifted; Infinity while it is down. */
  lifted: number
}

/**
 * A press is of what the finger came down on, though the page moved under it: leaving a field may show an error above
 * the button, and the browser would then take the press for one of whatever lies there now, or of nothing.
 */
export function steadyPresses(page: Document = document) {
  let press: Press | null = null
  const forget = () => (press = null)
  page.addEventListener(
    'pointerdown',
    ({ target, isPrimary, button: key, clientX: x, clientY: y }) => {
      const button = isPrimary && key === 0 ? (target as Element).closest<HTMLElement>(PRESSED) : null
      press = button && { button, x, y, lifted: Infinity }
    },
    true,
  )
  page.addEventListener('pointercancel', forget, true)
  page.addEventListener(
    'pointerup',
    ({ clientX, clientY }) => {
      if (!press) return
      // Who drags away from a button has thought better of it.
      if (Math.hypot(clientX - press.x, clientY - press.y) > STRAY_PX) forget()
      else press.lifted = performance.now()
    },
    true,
  )
  page.addEventListener(
    'click',
    (event) => {
      // A key clicks too, with no finger down: its detail is 0.
      if (!press || !event.isTrusted || event.detail === 0) return
      const { button, lifted } = press
      forget()
      const strange = !button.contains(event.target as Node) && performance.now() - lifted < CLICK_MS
      if (!strange || !button.isConnected) return
      event.preventDefault()
      event.stopImmediatePropagation()
      button.click()
    },
    true,
  )
}
