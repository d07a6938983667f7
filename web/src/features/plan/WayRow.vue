<script setup lang="ts">
import { ref } from 'vue'

import type { Figure, Schemas } from '@/shared/api/client'
import FigureValue from '@/shared/figures/FigureValue.vue'
import WorkingPanel from '@/shared/figures/WorkingPanel.vue'

/** A way of making a thread: what it takes, what speaks for it and against; taken by a press. */
defineProps<{ way: Schemas['WayShown']; thread: string; taken: boolean; best: boolean; closed: boolean }>()
const emit = defineEmits<{ take: [] }>()
const asked = ref<Figure | null>(null)
const ask = (figure: Figure) => (asked.value = asked.value === figure ? null : figure)
</script>

<template>
  <li :class="{ taken, refused: way.refused.length }">
    <div class="what">
      <b>{{ way.name }}</b>
      <span v-if="taken" class="mark">● used in this job</span>
      <span v-if="best" class="mark">◆ quickest</span>
      <p class="muted small">{{ way.remark }}</p>
      <p v-for="why in way.refused" :key="why" class="small">✗ {{ why }}</p>
      <p v-for="why in way.unusual" :key="why" class="small">Unusual here: {{ why }}</p>
      <p v-for="what in way.lacking" :key="what" class="lacks small">◆ {{ what }}</p>
      <p v-if="way.make" class="small">
        <router-link :to="{ name: 'holders', query: { thread } }">Design one</router-link>
      </p>
      <p class="small">
        <span v-for="one in way.merits" :key="one" class="side">+ {{ one }}</span>
        <span v-for="one in way.faults" :key="one" class="side">− {{ one }}</span>
      </p>
      <p v-if="taken" class="small muted">
        Pitch from {{ way.pitch }}. Straightness: {{ way.straight }}. Torque held by: {{ way.borne_by }}.
      </p>
    </div>
    <div class="figures">
      <FigureValue
        :figure="way.whole"
        label="total time"
        :open="asked === way.whole"
        @working="ask(way.whole)"
      />
      <FigureValue
        :figure="way.set_up"
        label="set-up time"
        :open="asked === way.set_up"
        @working="ask(way.set_up)"
      />
      <FigureValue :figure="way.each" label="per piece" :open="asked === way.each" @working="ask(way.each)" />
    </div>
    <plain-btn v-if="!taken && !closed" :aria-label="`Use ${way.name}`" @click="emit('take')"
      >Use this method</plain-btn
    >
    <WorkingPanel v-if="asked" class="working" :figure="asked" />
  </li>
</template>

<style scoped>
li {
  display: grid;
  grid-template-columns: minmax(0, 1fr) auto 116px;
  gap: 4px 16px;
  align-items: start;
  padding: 8px 0;
  border-bottom: 1px solid var(--line);
}
.taken b {
  color: var(--lagoon);
}
.mark {
  margin-left: 12px;
  white-space: nowrap;
  font-size: var(--s14);
  color: var(--lagoon);
}
.lacks {
  color: var(--caution);
}
.side {
  margin-right: 16px;
}
.figures {
  display: grid;
  grid-template-columns: repeat(3, 84px);
  gap: 8px;
}
.working {
  grid-column: 1 / -1;
}
p {
  margin: 0;
}
@media (max-width: 700px) {
  li {
    grid-template-columns: minmax(0, 1fr);
    justify-items: start;
  }
}
</style>
