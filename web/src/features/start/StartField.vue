<script setup lang="ts">
import { onMounted, useTemplateRef } from 'vue'
import type { VTextField } from 'vuetify/components'

import type { FieldError } from '@/shared/api/client'
import ChoiceList from '@/shared/controls/ChoiceList.vue'

/** A field of a form that starts a job: what is wrong stands under it, with what may have been meant. */
const props = defineProps<{ label: string; hint?: string; error?: FieldError; first?: boolean }>()
const typed = defineModel<string>({ required: true })

/** The cursor goes to the first field as the form appears; `autofocus` would take it from the next one, a frame late. */
const input = useTemplateRef<VTextField>('input')
onMounted(() => {
  // Who goes from shape to shape by keys stays among them.
  if (props.first && !document.querySelector('[role=radio]:focus-visible')) input.value?.focus()
})
</script>

<template>
  <div>
    <v-text-field
      ref="input"
      v-model="typed"
      :label="label"
      :placeholder="hint"
      persistent-placeholder
      :error-messages="error?.message"
      autocomplete="off"
    />
    <ChoiceList compact :choices="error?.choices ?? []" @take="(choice) => (typed = choice)" />
  </div>
</template>
