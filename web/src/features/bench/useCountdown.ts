import { onScopeDispose, ref } from 'vue'

/** Whole seconds that are left of a wait, 0 when it is over. */
export function useCountdown() {
  const left = ref(0)
  let ticking = 0
  const halt = () => {
    window.clearInterval(ticking)
    left.value = 0
  }
  function run(seconds: number) {
    halt()
    left.value = Math.ceil(seconds)
    if (left.value) ticking = window.setInterval(() => (left.value > 1 ? (left.value -= 1) : halt()), 1000)
  }
  onScopeDispose(halt)
  return { left, run, halt }
}
