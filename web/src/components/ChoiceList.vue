<script setup lang="ts">
/** What a text may have meant, ready to be taken instead. */
defineProps<{ choices: string[] }>()
const emit = defineEmits<{ take: [string] }>()
const MOST = 12
</script>

<template>
  <p v-if="choices.length" class="choices">
    <button
      v-for="choice in choices.slice(0, MOST)"
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
</style>
