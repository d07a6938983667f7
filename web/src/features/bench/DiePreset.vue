<script setup lang="ts">
import { computed, ref, watch } from 'vue'

import type { BenchNow } from '@/features/bench/projected'
import type { FieldError } from '@/shared/api/client'
import InlineField from '@/shared/controls/InlineField.vue'
import FigureValue from '@/shared/figures/FigureValue.vue'
import WorkingPanel from '@/shared/figures/WorkingPanel.vue'

/** Where to set the die before it runs, by what is known of it; once it is set, where it stands. */
const props = defineProps<{ bench: BenchNow; busy: boolean; error?: FieldError }>()
const emit = defineEmits<{ stands: [string] }>()
const typed = ref('')
const working = ref<'' | 'chance' | 'expected'>('')
watch(
  () => props.bench.last,
  () => (typed.value = working.value = ''),
)
const told = computed(() => props.bench.preset)
/** Set for this piece, or as good as it can be where it stands. */
const settled = computed(
  () =>
    props.bench.adjusted || (told.value?.trials !== 0 && told.value?.eighths === props.bench.opened_eighths),
)
const from = computed(() =>
  told.value?.trials
    ? told.value.trials === 1
      ? 'from 1 thread it has cut'
      : `from ${told.value.trials} threads it has cut`
    : `first guess; no record of this ${props.bench.moves} yet`,
)
const open = (which: 'chance' | 'expected') => (working.value = working.value === which ? '' : which)
</script>

<template>
  <section v-if="told" class="preset" aria-label="Die setting">
    <p v-if="settled" class="stands">
      Setting of the {{ bench.moves }}: <b>{{ bench.opened_words }}</b>, {{ from }}.
    </p>
    <template v-else>
      <p class="stands">
        Set the {{ bench.moves }}: <b>{{ told.words }}</b>, {{ from }}.
      </p>
      <p>{{ told.order }}</p>
    </template>
    <div class="row">
      <template v-if="!settled">
        <v-btn
          variant="outlined"
          color="secondary"
          size="large"
          :disabled="busy"
          @click="emit('stands', String(told.eighths))"
          >Set as shown</v-btn
        >
        <v-btn
          v-if="told.left !== null && told.left !== told.eighths"
          variant="outlined"
          size="large"
          :disabled="busy"
          @click="emit('stands', String(told.left))"
          >Left as before: {{ told.left_words }}</v-btn
        >
        <InlineField
          v-model="typed"
          :label="`Setting of the ${bench.moves}, ${told.marks} (+ open, − closed)`"
          before="or set it to"
          :after="`${told.marks} (+ open, − closed)`"
          placeholder="e.g. −1.5"
          figure
          :error="error"
          @commit="typed.trim() && emit('stands', typed)"
        />
      </template>
      <FigureValue
        :figure="told.chance"
        label="chance of being in class"
        :open="working === 'chance'"
        @working="open('chance')"
      />
      <FigureValue
        class="expected"
        :figure="told.expected"
        :label="told.expected_words"
        :open="working === 'expected'"
        @working="open('expected')"
      />
    </div>
    <WorkingPanel v-if="working" :figure="told[working]" />
  </section>
</template>

<style scoped>
.preset {
  display: grid;
  gap: 6px;
  border-left: 3px solid var(--lagoon);
  padding-left: 16px;
  margin-top: 10px;
}
.stands {
  font-size: var(--s20);
}
.row {
  display: flex;
  flex-wrap: wrap;
  gap: 8px 20px;
  align-items: center;
}
/* A phone keeps the button in sight. */
@media (max-width: 520px) {
  .stands {
    font-size: var(--s16);
  }
  .expected {
    display: none;
  }
}
</style>
