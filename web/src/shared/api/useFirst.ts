import { computed, type Ref } from 'vue'

/** Whether a first answer is there, or was tried for in vain: a page need not wait any longer. */
export function useFirst(asked: { isPending: Ref<boolean>; failureCount: Ref<number> }) {
  return computed(() => !asked.isPending.value || asked.failureCount.value > 0)
}
