import { watchEffect } from 'vue'

/** Names the browser's tab by what the page shows; as long as that is not known, by the route alone. */
export function useTitle(name: () => string | null | undefined) {
  watchEffect(() => {
    const words = name()
    if (words) document.title = `${words} · Conch`
  })
}
