<script setup lang="ts">
import { onMounted, ref } from 'vue'

/** Asks for a few words where the need arises; what was typed stays until it is taken. */
defineProps<{ ask: string; actions: { code: string; label: string; strong?: boolean }[]; error?: string }>()
const emit = defineEmits<{ say: [code: string, words: string]; close: [] }>()
const words = ref('')
const input = ref<{ focus: () => void }>()
onMounted(() => input.value?.focus())
</script>

<template>
  <form
    class="reason"
    @submit.prevent="emit('say', actions[0]?.code ?? '', words)"
    @keydown.esc="emit('close')"
  >
    <p>{{ ask }}</p>
    <v-text-field
      ref="input"
      v-model="words"
      :aria-label="ask"
      :error-messages="error"
      maxlength="2000"
      autocomplete="off"
    />
    <span class="buttons">
      <v-btn
        v-for="(action, n) in actions"
        :key="action.code"
        :type="n === 0 ? 'submit' : 'button'"
        :color="n === 0 ? 'secondary' : undefined"
        :variant="n === 0 ? 'flat' : 'outlined'"
        @click="n === 0 ? undefined : emit('say', action.code, words)"
        >{{ action.label }}</v-btn
      >
      <plain-btn @click="emit('close')">Cancel</plain-btn>
    </span>
  </form>
</template>

<style scoped>
.reason {
  display: grid;
  gap: 8px;
  background: var(--surface);
  border: 2px solid var(--lagoon);
  border-radius: var(--round);
  padding: 12px 16px;
}
.buttons {
  display: flex;
  flex-wrap: wrap;
  gap: 12px;
  align-items: center;
}
</style>
