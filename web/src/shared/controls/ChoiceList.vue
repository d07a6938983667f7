<script setup lang="ts">
import { computed } from 'vue'

/** What a text may have meant, ready to be taken instead. */
const props = defineProps<{ choices: string[]; compact?: boolean }>()
const emit = defineEmits<{ take: [string] }>()
/** A narrow place shows the likeliest alone. */
const most = computed(() => (props.compact ? 6 : 12))
</script>

<template>
  <span v-if="choices.length" class="choices" :class="{ compact }">
    <v-btn
      v-for="choice in choices.slice(0, most)"
      :key="choice"
      class="fig"
      variant="tonal"
      :size="compact ? 'small' : 'default'"
      @mousedown.prevent
      @click="emit('take', choice)"
    >
      {{ choice }}
    </v-btn>
  </span>
</template>

<style scoped>
.choices {
  display: flex;
  flex-wrap: wrap;
  gap: 8px;
  margin-top: 8px;
}
.compact {
  gap: 4px;
}
</style>
