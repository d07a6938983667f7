<script setup lang="ts">
import { computed } from 'vue'

/** What a text may have meant, ready to be taken instead. */
const props = defineProps<{ choices: string[]; compact?: boolean }>()
const emit = defineEmits<{ take: [string] }>()
/** A narrow place shows the likeliest alone. */
const most = computed(() => (props.compact ? 6 : 12))
</script>

<template>
  <p v-if="choices.length" class="choices" :class="{ compact }">
    <button
      v-for="choice in choices.slice(0, most)"
      :key="choice"
      type="button"
      class="choice fig"
      @click="emit('take', choice)"
    >
      {{ choice }}
    </button>
  </p>
</template>

<style scoped>
.choices {
  display: flex;
  flex-wrap: wrap;
  gap: 8px;
  margin-top: 8px;
}
.choice {
  border: 1px solid var(--line);
  background: var(--quiet);
  border-radius: 8px;
  padding: 8px 14px;
  cursor: pointer;
}
.compact {
  gap: 4px;
}
.compact .choice {
  padding: 3px 8px;
}
</style>
