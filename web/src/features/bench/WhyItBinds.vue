<script setup lang="ts">
import { computed } from 'vue'

import type { BenchNow } from '@/features/bench/projected'

/** Before the die is moved: what else a nut may bind for, one after the other, what costs least to rule out first. */
const props = defineProps<{ bench: BenchNow; busy: boolean; ruled: number }>()
const emit = defineEmits<{ was: [string]; die: [] }>()
const asked = computed(() => props.bench.causes[props.ruled])
</script>

<template>
  <section v-if="asked" class="why" aria-label="Why it binds">
    <p class="muted">
      {{ bench.step?.inside ? 'Before the tap is run again' : `Before the ${bench.moves} is moved` }},
      {{ ruled + 1 }} of {{ bench.causes.length }}: {{ asked.name }}
    </p>
    <p class="look">{{ asked.look }}</p>
    <div class="row">
      <v-btn
        variant="outlined"
        color="secondary"
        size="large"
        :disabled="busy"
        @click="emit('was', asked.code)"
        >Yes, that was it</v-btn
      >
      <plain-btn @click="emit('die')"
        >All that was looked at: it is the {{ bench.step?.inside ? 'hole' : bench.moves }}</plain-btn
      >
    </div>
  </section>
</template>

<style scoped>
.why {
  display: grid;
  gap: 10px;
}
.look {
  font-size: clamp(20px, 3vh, 28px);
}
.row {
  display: flex;
  flex-wrap: wrap;
  gap: 10px 20px;
  align-items: center;
}
</style>
