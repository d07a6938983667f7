<script setup lang="ts">
import type { FieldError } from '@/api/client'

/** A field of a form that starts a job: what is wrong stands under it, with what may have been meant. */
defineProps<{ label: string; hint?: string; error?: FieldError; autofocus?: boolean }>()
const typed = defineModel<string>({ required: true })
</script>

<template>
  <div>
    <v-text-field
      v-model="typed"
      :label="label"
      :placeholder="hint"
      :persistent-placeholder="hint?.startsWith('empty')"
      :error-messages="error?.message"
      autocomplete="off"
      :autofocus="autofocus"
    />
    <p v-if="error?.choices.length">
      <button
        v-for="choice in error.choices.slice(0, 6)"
        :key="choice"
        type="button"
        class="plain fig"
        @click="typed = choice"
      >
        {{ choice }}
      </button>
    </p>
  </div>
</template>
