import { ref } from 'vue'

const query = window.matchMedia('(max-width: 600px)')
const narrow = ref(query.matches)
query.addEventListener('change', () => (narrow.value = query.matches))

/** Whether the screen is as narrow as a phone: drawings are asked for with larger letters beside smaller work. */
export const useNarrow = () => narrow
