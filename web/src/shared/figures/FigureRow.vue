<script setup lang="ts">
import { computed, ref } from 'vue'

import type { Labelled } from '@/shared/figures/labelled'
import FigureValue from '@/shared/figures/FigureValue.vue'
import WorkingPanel from '@/shared/figures/WorkingPanel.vue'
import { useUnits } from '@/shared/figures/useUnits'

/**
 * The block of figures of every page: columns of one width, labels and figures each on one line; pressing a figure opens
 * its working under them. As a `list` one stands on each line. Past `most` the others are opened by a press.
 */
const props = defineProps<{ figures: Labelled[]; list?: boolean; most?: number }>()
const asked = ref('')
const opened = ref(false)
const { other } = useUnits()
const few = computed(() => (opened.value ? props.figures : props.figures.slice(0, props.most)))
/** Room for the other unit is kept for all of the block, or for none. */
const twice = computed(() => few.value.some((one) => one.both && other(one.figure.shown)))
const working = computed(() => few.value.find((one) => one.label === asked.value)?.figure)
</script>

<template>
  <div class="figure-row" :class="{ list, twice }">
    <slot name="first"></slot>
    <FigureValue
      v-for="one in few"
      :key="one.label"
      :figure="one.figure"
      :label="one.label"
      :strong="one.strong"
      :both="one.both"
      :open="asked === one.label"
      @working="asked = asked === one.label ? '' : one.label"
    />
    <plain-btn v-if="few.length < figures.length" class="others" @click="opened = true"
      >and {{ figures.length - few.length }} more</plain-btn
    >
    <WorkingPanel v-if="working" class="working" :figure="working" />
  </div>
</template>

<style scoped>
.figure-row {
  display: grid;
  grid-template-columns: repeat(auto-fill, minmax(min(var(--block, 152px), 42%), 1fr));
  grid-auto-rows: auto;
  gap: 0 24px;
  margin-bottom: -12px;
}
/* Labels stand on one line, figures on the next, and the other unit has a line of its own. */
.figure-row > :deep(.figure) {
  display: grid;
  grid-row: span 2;
  grid-template-rows: subgrid;
  margin-bottom: 12px;
}
.twice > :deep(.figure) {
  grid-row: span 3;
}
.working {
  grid-column: 1 / -1;
  margin-bottom: 12px;
}
.others {
  align-self: end;
  justify-self: start;
  grid-row: span 2;
  margin-bottom: 12px;
}
.list {
  grid-template-columns: minmax(0, 1fr);
  margin-bottom: 0;
}
.list > :deep(.figure) {
  display: flex;
  justify-content: space-between;
  align-items: baseline;
  grid-row: auto;
  margin-bottom: 0;
}
</style>
