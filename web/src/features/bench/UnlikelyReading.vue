<script setup lang="ts">
import type { FieldError } from '@/shared/api/client'

/** A reading that is far from the expected one: what may have been meant, or it was read again and stays. */
defineProps<{ error: FieldError; typed: string; busy: boolean }>()
const emit = defineEmits<{ meant: [text: string]; sure: [] }>()
</script>

<template>
  <div class="unlikely" role="alertdialog" aria-label="Read it again">
    <p>
      <b class="fig">{{ typed }}</b>? {{ error.message }}
    </p>
    <v-btn
      v-for="choice in error.choices"
      :key="choice"
      class="fig"
      color="primary"
      variant="outlined"
      size="large"
      :disabled="busy"
      @click="emit('meant', choice)"
      >I meant {{ choice }}</v-btn
    >
    <v-btn variant="outlined" size="large" :disabled="busy" @click="emit('sure')"
      >It reads <span class="fig">&nbsp;{{ typed }}</span></v-btn
    >
  </div>
</template>

<style scoped>
.unlikely {
  display: flex;
  flex-wrap: wrap;
  gap: 8px 16px;
  align-items: center;
  border: 2px solid var(--caution);
  border-radius: var(--round);
  padding: 8px 16px;
  font-size: var(--s20);
}
</style>
