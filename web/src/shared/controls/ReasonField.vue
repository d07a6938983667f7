<script setup lang="ts">
import { onMounted, ref } from 'vue'

/** Asks for a few words where the need arises; what was typed stays until it is taken. */
defineProps<{ ask: string; actions: { code: string; label: string; strong?: boolean }[]; error?: string }>()
const emit = defineEmits<{ say: [code: string, words: string]; close: [] }>()
const words = ref('')
const input = ref<HTMLInputElement>()
onMounted(() => input.value?.focus())
</script>

<template>
  <form
    class="reason"
    @submit.prevent="emit('say', actions[0]?.code ?? '', words)"
    @keydown.esc="emit('close')"
  >
    <label
      >{{ ask }}
      <input
        ref="input"
        v-model="words"
        maxlength="2000"
        autocomplete="off"
        :aria-invalid="error !== undefined"
      />
    </label>
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
      <button type="button" class="plain" @click="emit('close')">Not now</button>
    </span>
    <p v-if="error" class="field-error" role="alert">{{ error }}</p>
  </form>
</template>

<style scoped>
.reason {
  display: grid;
  gap: 10px;
  background: var(--surface);
  border: 2px solid var(--lagoon);
  border-radius: var(--round);
  padding: 14px 18px;
}
label {
  display: grid;
  gap: 6px;
}
input {
  font: inherit;
  font-size: var(--s20);
  color: inherit;
  background: var(--ground);
  border: 1px solid var(--line);
  border-radius: 8px;
  padding: 10px 12px;
}
.buttons {
  display: flex;
  flex-wrap: wrap;
  gap: 12px;
  align-items: center;
}
</style>
