import { onScopeDispose } from 'vue'

/** Keeps the screen awake while the bench is looked at, where the browser can. */
export function useAwake() {
  let lock: WakeLockSentinel | null = null
  let here = true
  async function hold() {
    if (!here || document.visibilityState !== 'visible' || !('wakeLock' in navigator)) return
    lock = await navigator.wakeLock.request('screen').catch(() => null)
    if (!here) void lock?.release()
  }
  const seen = () => void hold()
  document.addEventListener('visibilitychange', seen)
  void hold()
  onScopeDispose(() => {
    here = false
    document.removeEventListener('visibilitychange', seen)
    void lock?.release()
  })
}
