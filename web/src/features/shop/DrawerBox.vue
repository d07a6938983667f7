<script setup lang="ts">
import { computed, ref } from 'vue'

import RodStrip from '@/features/shop/RodStrip.vue'
import ThingShape from '@/features/shop/ThingShape.vue'
import type { Thing } from '@/features/shop/useKit'

/** A drawer with what lies in it: dies as they look, taps and drills in a row by size, the rest by name. One that
 * holds no more than names is closed until it is pressed, unless something is looked for. */
const props = defineProps<{ name: string; inside: Thing[]; chosen: string; opened: boolean }>()
const emit = defineEmits<{ choose: [string] }>()
const gone = (thing: Thing) => thing.state === 'missing' || thing.state === 'lent'
const count = computed(() => {
  const away = props.inside.filter(gone).length
  return away ? `${props.inside.length - away} of ${props.inside.length}` : String(props.inside.length)
})
const STRIPS: Record<string, string> = { tap: 'Taps', drill: 'Drills', reamer: 'Reamers' }
/** More than these are seen at once as a row only. */
const FEW = 3
const of = (kind: string) => props.inside.filter((one) => one.kind === kind)
const dies = computed(() => of('die'))
const strips = computed(() =>
  Object.entries(STRIPS)
    .map(([kind, name]) => ({ kind, name, rods: of(kind) }))
    .filter((one) => one.rods.length > FEW),
)
const rest = computed(() =>
  props.inside.filter((one) => one.kind !== 'die' && !strips.value.some((strip) => strip.kind === one.kind)),
)
const onlyWords = computed(() => rest.value.length === props.inside.length)
/** A few names are shorter than a press. */
const folds = computed(() => onlyWords.value && props.inside.length > FEW)
const pressed = ref(false)
const open = computed(() => !folds.value || props.opened || pressed.value)
/** Dies side by side by their series, the fullest first. */
const groups = computed(() => {
  const found = new Map<string, Thing[]>()
  for (const one of dies.value) {
    const series = one.short.split(' ').slice(1).join(' ')
    found.set(series, [...(found.get(series) ?? []), one])
  }
  return [...found]
    .map(([series, things]) => ({ series, things }))
    .sort((one, other) => other.things.length - one.things.length)
})
const series = computed(() => groups.value.map((one) => one.series).filter(Boolean))
const size = (thing: Thing) => thing.short.split(' ')[0] ?? ''
/** Small enough that a box of dies is seen at once, each as large as the next says. */
const SCALE = 1.2
const label = (thing: Thing) => `${thing.name}${thing.state === 'ready' ? '' : `, ${thing.condition}`}`
</script>

<template>
  <section
    class="drawer"
    :class="{
      box: dies.length && !strips.length,
      wide: strips.length || (folds && open),
      few: onlyWords && !folds,
    }"
    :aria-label="name"
  >
    <h2>
      <button v-if="folds" type="button" class="head" :aria-expanded="open" @click="pressed = !pressed">
        {{ name }}
      </button>
      <template v-else>{{ name }}</template>
      <span class="muted count"
        >{{ ' ' + count }}<template v-if="series.length"> · {{ series.join(', ') }}</template></span
      >
    </h2>
    <div v-if="open" class="inside">
      <ul v-for="group in groups" :key="group.series" class="dies" :aria-label="group.series || name">
        <li v-for="thing in group.things" :key="thing.id">
          <button
            type="button"
            class="thing"
            :class="{ chosen: thing.id === chosen, gone: gone(thing) }"
            :aria-pressed="thing.id === chosen"
            :aria-label="label(thing)"
            :title="label(thing)"
            @click="emit('choose', thing.id)"
          >
            <ThingShape :thing="thing" :gone="gone(thing)" :scale="SCALE" />
            <span class="small" :class="{ fig: thing.across_mm }">{{ size(thing) }}</span>
            <span v-if="thing.state !== 'ready'" class="state" aria-hidden="true">◆</span>
          </button>
        </li>
      </ul>
      <RodStrip
        v-for="strip in strips"
        :key="strip.kind"
        :name="strip.name"
        :rods="strip.rods"
        :chosen="chosen"
        @choose="(id) => emit('choose', id)"
      />
      <ul v-if="rest.length" class="words">
        <li v-for="thing in rest" :key="thing.id">
          <button
            type="button"
            class="word"
            :class="{ chosen: thing.id === chosen }"
            :aria-pressed="thing.id === chosen"
            :aria-label="label(thing)"
            @click="emit('choose', thing.id)"
          >
            {{ thing.name }}<span v-if="thing.state !== 'ready'" class="state">, {{ thing.condition }}</span>
          </button>
        </li>
      </ul>
    </div>
  </section>
</template>

<style scoped>
h2 {
  font-size: var(--s14);
  line-height: 20px;
}
.head {
  padding: 4px 0;
  border: 0;
  background: none;
  font: inherit;
  color: var(--lagoon);
  cursor: pointer;
  text-decoration: underline 1px;
  text-underline-offset: 3px;
}
.count {
  font-weight: 400;
}
.wide {
  flex-basis: 100%;
  display: grid;
  grid-template-columns: 128px minmax(0, 1fr);
  gap: 4px 12px;
  padding-top: 4px;
  border-top: 1px solid var(--line);
}
.few {
  display: flex;
  align-items: center;
  gap: 4px;
}
.inside {
  display: grid;
  gap: 4px;
}
.box .inside {
  display: flex;
  flex-wrap: wrap;
  align-items: flex-end;
  gap: 0 8px;
}
/* Neighbours' sizes do not run into each other. */
.thing .fig {
  letter-spacing: -0.5px;
  padding-right: 4px;
}
/* What lies beside dies takes no more room than a few of them. */
.box .words {
  max-width: 112px;
}
.dies {
  display: flex;
  flex-wrap: wrap;
  align-items: flex-end;
}
.dies + .dies {
  padding-left: 8px;
  border-left: 1px solid var(--line);
}
.thing {
  position: relative;
  border: 0;
  border-radius: var(--round);
  background: none;
  padding: 0;
  display: grid;
  justify-items: center;
  cursor: pointer;
  min-width: 36px;
}
.thing:hover,
.thing.chosen {
  outline: 2px solid var(--lagoon);
}
.thing.chosen,
.word.chosen {
  color: var(--lagoon);
  font-weight: 700;
}
.thing .state {
  position: absolute;
  top: -2px;
  right: 0;
}
.state {
  color: var(--caution);
  font-weight: 700;
}
.words {
  display: flex;
  flex-wrap: wrap;
  gap: 0 4px;
}
.words li:not(:last-child)::after {
  content: '·';
  color: var(--muted);
}
.word {
  padding: 4px 4px;
  border: 0;
  background: none;
  font: inherit;
  font-size: var(--s14);
  line-height: 20px;
  text-align: left;
  color: var(--ink);
  cursor: pointer;
}
.word:hover {
  color: var(--lagoon);
  text-decoration: underline 1px;
  text-underline-offset: 3px;
}
@media (max-width: 520px) {
  .wide {
    flex-basis: 100%;
    grid-template-columns: minmax(0, 1fr);
  }
}
@media (pointer: coarse) {
  .thing {
    min-width: 48px;
    min-height: 56px;
  }
  .word,
  .head {
    min-height: 44px;
  }
}
</style>
