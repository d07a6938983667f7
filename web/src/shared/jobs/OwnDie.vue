<script setup lang="ts">
import { computed } from 'vue'

import { useNeeds } from '@/shared/jobs/useNeeds'

/** Which die of the shop to take, where it lies, and what it did last. */
const props = defineProps<{ id: number; part: number; revision: number; die: string }>()
const needs = useNeeds(() => ({ id: props.id, part: props.part, revision: props.revision }))
const die = computed(() => needs.value.find((one) => one.id === props.die))
</script>

<template>
  <p v-if="die" class="muted">
    {{ die.thing }}<template v-if="die.place">, {{ die.place }}</template
    ><template v-if="die.did">. Last: {{ die.did }}</template
    >.
  </p>
</template>
