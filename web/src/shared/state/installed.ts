const PAGE = 'page'

/** Whether this page can be kept on the device at all: not over plain http. */
export const keepable = window.isSecureContext && 'serviceWorker' in navigator

/** Keeps the page on this device: it opens without the server, too. */
export async function install() {
  if (!keepable) return
  try {
    await navigator.serviceWorker.register('/sw.js', { scope: '/' })
    await navigator.serviceWorker.ready
    // This very page came before its worker did, and is kept by hand.
    const kept = await caches.open(PAGE)
    if (!(await kept.match('/'))) await kept.add('/')
  } catch {
    // It is not kept, then: the server answers, or one is told that it does not.
  }
}
