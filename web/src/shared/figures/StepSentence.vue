<script setup lang="ts">
import { computed } from 'vue'

import type { Operation } from '@/shared/api/client'
import { useUnits } from '@/shared/figures/useUnits'

/** The sentence to do, or other `words` of the step instead, its figures put in where the braces stand. */
const props = defineProps<{ step: Operation; words?: string }>()
const { text } = useUnits()
const parts = computed(() => {
  const figures = new Map(props.step.figures.map((f) => [f.key, f.figure]))
  return (props.words ?? props.step.sentence).split(/\{(\w+)\}/).map((piece, index) => {
    const figure = index % 2 ? figures.get(piece) : undefined
    // A place is never parted from its Z.
    const plain = piece.replace(/ Z $/, ' Z\u00a0')
    return { text: figure ? text(figure.shown) : plain, figure: figure !== undefined }
  })
})
</script>

<template>
  <span
    ><template v-for="(part, n) in parts" :key="n"
      ><span v-if="part.figure" class="fig number">{{ part.text }}</span
      ><template v-else>{{ part.text }}</template></template
    ></span
  >
</template>

<style scoped>
.number {
  color: var(--coral);
  white-space: nowrap;
}
</style>
