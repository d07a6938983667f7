<script setup lang="ts">
import type { Schemas } from '@/shared/api/client'

/** Tapping drills, the nearest to the usual percentage first, with what each leaves. */
defineProps<{ drills: Schemas['DrillNumbers'][] }>()
</script>

<template>
  <div>
    <ul class="drills">
      <li v-for="drill in drills" :key="drill.name">
        <span class="fig name">{{ drill.name }}</span><span class="muted small"
          >{{ Math.round(drill.percent) }} %</span
        >
      </li>
      <li v-if="!drills.length" class="muted">No standard drill gives 60 to 80 % thread.</li>
    </ul>
    <p v-if="drills[0]" class="muted small">{{ drills[0].convention }}</p>
  </div>
</template>

<style scoped>
.drills {
  display: flex;
  flex-wrap: wrap;
  gap: 4px 24px;
}
.name {
  font-size: var(--s20);
  font-weight: 700;
  margin-right: 8px;
}
</style>
