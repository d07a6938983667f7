import { shallowRef } from 'vue'

export interface Undo {
  text: string
  run: () => Promise<unknown>
}

/** What was done last and can be taken back from the list of jobs; gone when the page is. */
const offered = shallowRef<Undo | null>(null)

export const useUndo = () => offered
