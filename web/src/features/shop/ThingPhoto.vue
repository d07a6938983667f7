<script setup lang="ts">
import { ref } from 'vue'

import { ask, asProblem, client } from '@/shared/api/client'
import type { Thing } from '@/features/shop/useKit'
import FittersOnly from '@/shared/controls/FittersOnly.vue'

/** What a thing looks like: one photograph, taken or chosen; a wrong file is told and changes nothing. */
const props = defineProps<{ thing: Thing }>()
const emit = defineEmits<{ changed: [] }>()
const input = ref<HTMLInputElement>()
const trouble = ref('')
const path = () => ({ params: { path: { ident: props.thing.id } } })
const asText = (file: File) =>
  new Promise<string>((done, fail) => {
    const reader = new FileReader()
    reader.onload = () => done(String(reader.result).replace(/^.*,/, ''))
    reader.onerror = () => fail(new Error('This file cannot be opened. Choose a JPEG or PNG photograph.'))
    reader.readAsDataURL(file)
  })
async function attempt(act: () => Promise<unknown>) {
  trouble.value = ''
  try {
    await act()
    emit('changed')
  } catch (failed) {
    const problem = asProblem(failed)
    trouble.value = problem.errors[0]?.message ?? problem.message
  } finally {
    if (input.value) input.value.value = ''
  }
}
const keep = (event: Event) =>
  attempt(async () => {
    const file = (event.target as HTMLInputElement).files?.[0]
    if (file)
      await ask(
        client.POST('/api/kit/{ident}/photograph', { ...path(), body: { content: await asText(file) } }),
      )
  })
const forget = () => attempt(() => ask(client.DELETE('/api/kit/{ident}/photograph', path())))
</script>

<template>
  <div class="photo">
    <img
      v-if="thing.photograph"
      :src="`/api/kit/${thing.id}/photograph?revision=${thing.photograph}`"
      :alt="`Photograph of ${thing.name}`"
    />
    <FittersOnly
      ><p>
        <plain-btn @click="input?.click()">{{
          thing.photograph ? 'Change the photograph' : 'Add a photograph'
        }}</plain-btn>
        <plain-btn v-if="thing.photograph" @click="forget">Remove the photograph</plain-btn>
        <input
          ref="input"
          class="sr"
          type="file"
          tabindex="-1"
          accept="image/*"
          aria-label="Photograph"
          @change="keep"
        /></p
    ></FittersOnly>
    <p v-if="trouble" class="field-error" role="alert">{{ trouble }}</p>
  </div>
</template>

<style scoped>
.photo {
  display: grid;
  gap: 4px;
}
img {
  max-width: 100%;
  max-height: 300px;
  border-radius: var(--round);
  border: 1px solid var(--line);
}
p {
  display: flex;
  gap: 16px;
}
</style>
