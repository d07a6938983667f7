<script setup lang="ts">
import { computed } from 'vue'

import ThingShape from '@/features/shop/ThingShape.vue'
import type { Thing } from '@/features/shop/useKit'

/** A drawer with what lies in it, drawn. */
const props = defineProps<{ name: string; inside: Thing[]; chosen: string }>()
const emit = defineEmits<{ choose: [string] }>()
const gone = (thing: Thing) => thing.state === 'missing' || thing.state === 'lent'
const count = computed(() => {
  const away = props.inside.filter(gone).length
  return away ? `${props.inside.length - away} of ${props.inside.length}` : String(props.inside.length)
})
</script>

<template>
  <section class="drawer" :aria-label="name">
    <h2>
      {{ name }} <span class="muted small">{{ count }}</span>
    </h2>
    <ul>
      <li v-for="thing in inside" :key="thing.id">
        <button
          type="button"
          class="thing"
          :class="{ chosen: thing.id === chosen, gone: gone(thing) }"
          :aria-pressed="thing.id === chosen"
          :aria-label="`${thing.name}${thing.state === 'ready' ? '' : `, ${thing.condition}`}`"
          @click="emit('choose', thing.id)"
        >
          <ThingShape :thing="thing" :gone="gone(thing)" />
          <span class="small" :class="{ fig: thing.across_mm }">{{ thing.short }}</span>
          <span v-if="thing.state !== 'ready'" class="state small">{{ thing.condition }}</span>
        </button>
      </li>
    </ul>
  </section>
</template>

<style scoped>
.drawer {
  background: var(--quiet);
  border: 1px solid var(--line);
  border-radius: var(--round);
  padding: 12px 16px;
}
h2 {
  font-size: var(--s16);
  display: flex;
  justify-content: space-between;
}
ul {
  display: flex;
  flex-wrap: wrap;
  gap: 6px 10px;
  align-items: flex-end;
  margin-top: 8px;
}
.thing {
  border: 2px solid transparent;
  border-radius: 8px;
  background: none;
  padding: 3px;
  display: grid;
  justify-items: center;
  cursor: pointer;
  min-width: 44px;
  max-width: 150px;
}
.thing:hover {
  border-color: var(--lagoon);
}
.thing.chosen {
  border-color: var(--lagoon);
  color: var(--lagoon);
}
.state {
  color: var(--caution);
}
</style>
