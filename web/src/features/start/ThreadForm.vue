<script setup lang="ts">
import { onMounted, ref, useTemplateRef } from 'vue'
import { useRouter } from 'vue-router'

import { useSize } from '@/shared/api/useSize'
import ChoiceList from '@/shared/controls/ChoiceList.vue'

/** A thread and nothing else: on to its page, or to finding out which it is. */
const props = defineProps<{ thread: string }>()
const router = useRouter()
const text = ref(props.thread)
const { size, problem } = useSize(text)
const input = useTemplateRef<{ focus: () => void }>('input')
onMounted(() => {
  // Who goes from shape to shape by keys stays among them.
  if (!document.querySelector('[role=radio]:focus-visible')) input.value?.focus()
})
const show = () => size.value && router.push({ name: 'threads', query: { q: size.value.designation } })
</script>

<template>
  <form class="known" aria-label="Look up a thread" novalidate @submit.prevent="show">
    <v-text-field
      ref="input"
      v-model="text"
      label="Thread"
      placeholder="e.g. 3/8-16, M8x1, 1/4 bsw, G3/8, 2ba"
      persistent-placeholder
      autocomplete="off"
      :error-messages="problem?.message"
    />
    <ChoiceList compact :choices="problem?.errors[0]?.choices ?? []" @take="(choice) => (text = choice)" />
    <p class="act">
      <v-btn type="submit" color="secondary" size="large" :disabled="!size">Show this thread</v-btn>
      <router-link :to="{ name: 'identify' }">I don't know the thread: identify it</router-link>
    </p>
  </form>
</template>

<style scoped>
.known {
  max-width: 460px;
}
.act {
  display: flex;
  gap: 16px;
  align-items: center;
  margin-top: 12px;
}
</style>
