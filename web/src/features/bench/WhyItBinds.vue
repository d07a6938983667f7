<script setup lang="ts">
import { computed } from 'vue'

import type { BenchNow } from '@/features/bench/projected'

/** Before the die is moved: what else a nut may bind for, one after the other, what costs least to rule out first. */
const props = defineProps<{ bench: BenchNow; busy: boolean; ruled: number }>()
const emit = defineEmits<{ was: [string]; die: [] }>()
const asked = computed(() => props.bench.causes[props.ruled])
</script>

<template>
  <section v-if="asked" class="why" aria-label="Check before moving the die">
    <p class="muted">
      {{
        bench.step?.inside
          ? `Check ${ruled + 1} of ${bench.causes.length} before you run the tap again: ${asked.name}`
          : `Check ${ruled + 1} of ${bench.causes.length} before you adjust the ${bench.moves}: ${asked.name}`
      }}
    </p>
    <p class="look">{{ asked.look }}</p>
    <div class="row">
      <v-btn
        variant="outlined"
        color="secondary"
        size="large"
        :disabled="busy"
        @click="emit('was', asked.code)"
        >Yes, that was the cause</v-btn
      >
      <plain-btn @click="emit('die')">{{
        bench.step?.inside ? 'None of these: cut the hole again' : `None of these: adjust the ${bench.moves}`
      }}</plain-btn>
    </div>
  </section>
</template>

<style scoped>
.why {
  display: grid;
  gap: 8px;
}
.look {
  font-size: clamp(20px, 3vh, 28px);
}
.row .plain {
  min-height: 48px;
}
@media (max-width: 600px) {
  .why {
    gap: 4px;
  }
  .look {
    font-size: var(--s20);
  }
}
.row {
  display: flex;
  flex-wrap: wrap;
  gap: 8px 24px;
  align-items: center;
}
</style>
