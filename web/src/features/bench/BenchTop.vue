<script setup lang="ts">
import { computed } from 'vue'

import type { BenchNow } from '@/features/bench/projected'
import ThreadBar from '@/shared/controls/ThreadBar.vue'

/** The bar of progress, the piece in hand, and the parts of the job: another may be taken up at any time. */
const props = defineProps<{ bench: BenchNow; fixed: boolean }>()
const emit = defineEmits<{ part: [id: string]; piece: [number: number] }>()
/** Where in the steps of the piece in hand one is; a part without a plan has none. */
const where = computed(() => {
  if (props.bench.finished) return 'all steps done'
  return props.bench.steps.length ? `step ${at.value + 1} of ${props.bench.steps.length}` : 'no plan'
})
const at = computed(() => props.bench.steps.filter((s) => s.state === 'done').length)
/** More than one piece is in work: then each goes by its own number. */
const several = computed(() => props.bench.waiting.length > 0 || props.bench.turns.length > 0)
const piece = computed(() =>
  several.value ? props.bench.piece : Math.min(props.bench.good + 1, props.bench.quantity),
)
const query = computed(() => (props.bench.part > 1 ? { part: props.bench.part } : {}))
</script>

<template>
  <header class="top">
    <div class="job">
      <router-link :to="{ name: 'plan', params: { id: bench.id }, query }">{{ bench.title }}</router-link>
      <nav v-if="bench.parts.length > 1" class="parts" aria-label="Parts">
        <button
          v-for="(part, n) in bench.parts"
          :key="part.id"
          type="button"
          class="part"
          :aria-current="n + 1 === bench.part ? 'true' : undefined"
          :disabled="fixed || n + 1 === bench.part || part.good >= part.quantity"
          @click="emit('part', part.id)"
        >
          {{ part.name }} <span class="fig">{{ part.good }}/{{ part.quantity }}</span>
        </button>
      </nav>
    </div>
    <nav v-if="bench.waiting.length" class="parts pieces" aria-label="Pieces put down">
      <span class="muted small">put down:</span>
      <button
        v-for="one in bench.waiting"
        :key="one.piece"
        type="button"
        class="part fig"
        :title="`next: ${one.title}`"
        :aria-label="`Continue piece ${one.piece}, next step: ${one.title}`"
        :disabled="fixed"
        @click="emit('piece', one.piece)"
      >
        {{ one.piece }}
      </button>
    </nav>
    <ThreadBar
      class="bar"
      :total="bench.steps.length"
      :done="at"
      :now="1"
      :label="`${at} of ${bench.steps.length} steps of this piece done`"
    />
    <span class="muted where">{{ where }}</span>
    <component
      :is="bench.quantity > 1 ? 'router-link' : 'span'"
      class="piece"
      :to="{ name: 'batch', params: { id: bench.id }, query }"
      title="Show the batch"
      >piece <strong class="fig">{{ piece }}</strong>
      <span class="muted">{{
        several ? ` · ${bench.good} of ${bench.quantity} made` : ` of ${bench.quantity}`
      }}</span><span v-if="bench.scrapped" class="scrap"> ✗ {{ bench.scrapped }} scrapped</span></component
    >
  </header>
</template>

<style scoped>
.top {
  display: grid;
  grid-template-columns: auto minmax(80px, 1fr) auto auto;
  gap: 24px;
  align-items: center;
}
.job {
  max-width: 40vw;
}
.job a {
  color: var(--ink);
  font-weight: 700;
  font-size: var(--s20);
  text-decoration: none;
}
.parts {
  display: flex;
  flex-wrap: wrap;
  gap: 4px 8px;
  margin-top: 4px;
}
.part {
  min-height: 40px;
  max-width: 16em;
  padding: 4px 12px;
  overflow: hidden;
  text-overflow: ellipsis;
  white-space: nowrap;
  border: 1px solid var(--line);
  border-radius: var(--round);
  background: var(--surface);
  color: var(--ink);
  font: inherit;
  cursor: pointer;
}
.pieces {
  grid-column: 1 / -1;
  grid-row: 2;
  align-items: center;
  margin: 0;
}
.pieces .part {
  min-width: 44px;
}
.part:disabled {
  color: var(--muted);
  cursor: default;
}
.part[aria-current] {
  border-color: var(--lagoon);
  color: var(--lagoon);
  font-weight: 700;
}
.piece {
  color: inherit;
  text-decoration: none;
  font-size: var(--s28);
  white-space: nowrap;
}
.scrap {
  color: var(--caution);
  font-size: var(--s16);
}
@media (max-width: 600px) {
  .piece {
    font-size: var(--s20);
  }
  .job {
    min-width: 0;
  }
  .job a {
    font-size: var(--s16);
  }
  .job:has(.parts) {
    grid-column: 1 / -1;
    display: flex;
    flex-wrap: wrap;
    gap: 4px 12px;
    align-items: center;
  }
  .job .parts {
    margin: 0;
  }
  .job:has(.parts) ~ .where {
    display: none;
  }
}
@media (max-width: 900px) {
  .top {
    grid-template-columns: 1fr auto;
    gap: 8px 24px;
  }
  .bar {
    grid-row: 2;
  }
  .pieces {
    grid-row: 3;
  }
  .job {
    max-width: none;
  }
}
</style>
