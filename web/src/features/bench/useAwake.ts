import { onScopeDispose, ref } from 'vue'

/** Keeps the screen awake while the bench is looked at; tells where the browser cannot. */
export function useAwake() {
  let lock: WakeLockSentinel | null = null
  let here = true
  /** The screen may go dark by itself: the browser cannot keep it, or would not. */
  const sleeps = ref(!('wakeLock' in navigator))
  async function hold() {
    if (!here || document.visibilityState !== 'visible' || !('wakeLock' in navigator)) return
    lock = await navigator.wakeLock.request('screen').catch(() => null)
    sleeps.value = lock === null
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
  return sleeps
}
