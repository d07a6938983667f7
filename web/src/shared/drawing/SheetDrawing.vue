<script setup lang="ts">
import { computed, nextTick, ref, useId, watch } from 'vue'

import type { Sheet } from '@/shared/api/client'
import { useUnits } from '@/shared/figures/useUnits'
import { useNarrow } from '@/shared/state/useScreen'

/** A drawing to look at: nut and bolt hatched apart, tolerance zones shaded, clashes crossed. */
const props = defineProps<{
  sheet: Sheet
  /** Its figures stand beside it as well: a phone shows the work alone, as large as it can. */
  told?: boolean
}>()
const narrow = useNarrow()
const alone = computed(() => props.told && narrow.value)
const work = ref<SVGGElement>()
const box = ref('')
watch(
  [() => props.sheet, alone],
  async () => {
    await nextTick()
    const at = work.value?.getBBox()
    box.value = at ? `${at.x - 4} ${at.y - 4} ${at.width + 8} ${at.height + 8}` : ''
  },
  { immediate: true },
)
const { words } = useUnits()
const id = useId()
const FILLS: Record<string, string> = { part: 'bolt', nut: 'nut', clash: 'clash' }
</script>

<template>
  <svg
    :viewBox="alone && box ? box : `0 0 ${sheet.width} ${sheet.height}`"
    role="img"
    :aria-label="sheet.title"
  >
    <pattern
      :id="`${id}-bolt`"
      width="9"
      height="9"
      patternUnits="userSpaceOnUse"
      patternTransform="rotate(45)"
    >
      <path d="M0 0V9" class="rule" />
    </pattern>
    <pattern
      :id="`${id}-nut`"
      width="9"
      height="9"
      patternUnits="userSpaceOnUse"
      patternTransform="rotate(-45)"
    >
      <path d="M0 0V9" class="rule" />
    </pattern>
    <pattern
      :id="`${id}-clash`"
      width="5"
      height="5"
      patternUnits="userSpaceOnUse"
      patternTransform="rotate(45)"
    >
      <path d="M0 0V5M0 0H5" class="cross" />
    </pattern>
    <g ref="work">
      <template v-for="(p, n) in sheet.paths" :key="n">
        <path v-if="!(alone && p.role === 'leader')" :d="p.d" :class="p.role" />
        <path v-if="FILLS[p.role]" :d="p.d" :fill="`url(#${id}-${FILLS[p.role]})`" />
      </template>
    </g>
    <text
      v-for="(label, n) in alone ? [] : sheet.labels"
      :key="`l${n}`"
      :x="label.x"
      :y="label.y"
      :text-anchor="label.anchor"
    >
      {{ words(label) }}
    </text>
  </svg>
</template>

<style scoped>
svg {
  display: block;
  width: 100%;
  height: auto;
}
path {
  stroke-linejoin: round;
}
.part,
.nut {
  fill: var(--quiet);
  stroke: var(--ink);
  stroke-width: 1.6;
}
.nut {
  fill: var(--surface);
}
.rule {
  stroke: var(--muted);
  stroke-width: 0.8;
  opacity: 0.45;
}
.zone {
  fill: var(--coral);
  fill-opacity: 0.45;
  stroke: var(--coral);
  stroke-width: 0.8;
}
.nut-zone {
  fill: var(--lagoon);
  fill-opacity: 0.4;
  stroke: var(--lagoon);
  stroke-width: 0.8;
}
.clash {
  fill: var(--stop);
  fill-opacity: 0.5;
  stroke: var(--stop);
  stroke-width: 0.8;
}
.cross {
  stroke: var(--ink);
  stroke-width: 0.8;
}
.centre {
  fill: none;
  stroke: var(--muted);
  stroke-width: 0.8;
  stroke-dasharray: 14 3 3 3;
}
.edge,
.ghost {
  fill: none;
  stroke: var(--lagoon);
  stroke-width: 2.4;
}
.ghost {
  stroke: var(--coral);
  stroke-dasharray: 6 4;
}
.dimension {
  fill: none;
  stroke: var(--muted);
  stroke-width: 0.8;
}
.arrow {
  fill: var(--muted);
}
.leader {
  fill: none;
  stroke: var(--muted);
  stroke-width: 0.8;
}
text {
  font: 15px var(--figures);
  fill: var(--ink);
}
</style>
