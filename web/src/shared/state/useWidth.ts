import { onBeforeUnmount, onMounted, ref, type ShallowRef } from 'vue'

/** How wide (px) a place is that something is drawn into to its own measure; `first` until that is known. */
export function useWidth(place: Readonly<ShallowRef<HTMLElement | null>>, first: number) {
  const width = ref(first)
  const watcher = new ResizeObserver(([entry]) => {
    if (entry && entry.contentRect.width > 0) width.value = Math.floor(entry.contentRect.width)
  })
  onMounted(() => place.value && watcher.observe(place.value))
  onBeforeUnmount(() => watcher.disconnect())
  return width
}
