/** How long a page may take to show its heading before it is not waited for (ms). */
const WAIT_MS = 5000

/** Takes the focus without being a stop of the Tab key, for as long as it has it. */
function take(place: HTMLElement) {
  const own = place.hasAttribute('tabindex')
  if (!own) place.tabIndex = -1
  place.focus({ preventScroll: true })
  if (!own) place.addEventListener('blur', () => place.removeAttribute('tabindex'), { once: true })
}
const nowhere = () => document.activeElement === null || document.activeElement === document.body

/**
 * The focus is never nowhere: what had it may be taken away, or be no longer pressable; then whatever stood nearest
 * round it has the focus, so that the next Tab goes on from there and not from the top of the page.
 */
export function keepFocus() {
  let round: HTMLElement[] = []
  document.addEventListener('focusin', ({ target }) => {
    round = []
    for (let at = target as HTMLElement | null; at && at !== document.body; at = at.parentElement)
      round.push(at)
  })
  const gone = (place: HTMLElement | undefined) => place && (!place.isConnected || place.matches(':disabled'))
  function mend() {
    if (!nowhere() || !gone(round[0])) return
    const near = round.find((one) => one.isConnected && !one.matches(':disabled') && one.checkVisibility())
    if (near) take(near)
  }
  // What the page itself does with the focus comes first.
  const seen = new MutationObserver(() => requestAnimationFrame(mend))
  seen.observe(document.body, { childList: true, subtree: true, attributeFilter: ['disabled'] })
}

/** Another page begins at its heading, unless it gives the focus to a field of its own. */
export function focusHeading() {
  const left = document.querySelector('main h1')
  document.querySelector<HTMLElement>('main')?.focus({ preventScroll: true })
  const until = performance.now() + WAIT_MS
  const seen = new MutationObserver(look)
  function look() {
    const main = document.querySelector('main')
    const heading = main?.querySelector<HTMLElement>('h1')
    const elsewhere = !nowhere() && document.activeElement !== main
    const come = heading && heading !== left && heading.checkVisibility()
    if (come && !elsewhere) take(heading)
    if (come || elsewhere || performance.now() > until) seen.disconnect()
  }
  seen.observe(document.body, { childList: true, subtree: true, attributeFilter: ['style'] })
  look()
}
