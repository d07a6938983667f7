import { onScopeDispose } from 'vue'

/** Runs when the page is looked at again: another device may have gone on meanwhile. */
export function useReturn(run: () => void) {
  const seen = () => {
    if (document.visibilityState === 'visible') run()
  }
  document.addEventListener('visibilitychange', seen)
  window.addEventListener('focus', seen)
  onScopeDispose(() => {
    document.removeEventListener('visibilitychange', seen)
    window.removeEventListener('focus', seen)
  })
}
