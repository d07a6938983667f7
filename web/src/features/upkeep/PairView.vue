<script setup lang="ts">
import { useQueryClient } from '@tanstack/vue-query'
import { computed, ref, shallowRef, watch } from 'vue'
import { useRoute, useRouter } from 'vue-router'

import { asProblem, ask, client, type Problem } from '@/shared/api/client'
import BusyButton from '@/shared/controls/BusyButton.vue'
import ShellMark from '@/shared/theme/ShellMark.vue'

/** This device is not known to the server: the code that the host shows, and a name for it. */
const route = useRoute()
const router = useRouter()
const queries = useQueryClient()
const code = ref('')
// A picture read by the camera brings the code behind #, which no server is told; the way there may still be found.
watch(
  () => route.name === 'pair' && route.hash.slice(1),
  (read) => {
    if (read) code.value = read
  },
  { immediate: true },
)
const name = ref('')
const busy = ref(false)
const problem = shallowRef<Problem | null>(null)
const homeless = computed(() => (problem.value?.errors.length ? '' : problem.value?.message))

async function pair() {
  busy.value = true
  try {
    const me = await ask(client.POST('/api/pairing', { body: { code: code.value, name: name.value } }))
    problem.value = null
    if (route.name === 'pair') await router.replace({ name: 'jobs' })
    queries.setQueryData(['me'], me)
  } catch (error) {
    problem.value = asProblem(error)
  } finally {
    busy.value = false
  }
}
</script>

<template>
  <main id="main" class="pair" tabindex="-1">
    <ShellMark class="shell" label="Conch" />
    <h1>Connect this device</h1>
    <p>
      On the computer that runs Conch (the host), open <strong>Upkeep</strong> and press
      <em>Let a tablet in</em>. Type the six-digit code here.
    </p>
    <form novalidate @submit.prevent="pair">
      <v-text-field
        v-model="code"
        class="fig digits"
        label="Code"
        placeholder="e.g. 000 000"
        persistent-placeholder
        inputmode="numeric"
        autocomplete="one-time-code"
        maxlength="60"
        :error-messages="problem?.of('code')?.message"
      />
      <v-text-field
        v-model="name"
        label="Name for this device"
        placeholder="e.g. bench tablet"
        persistent-placeholder
        autocomplete="off"
        maxlength="60"
        :error-messages="problem?.of('name')?.message"
      />
      <p v-if="homeless" class="field-error" role="alert">{{ homeless }}</p>
      <BusyButton type="submit" color="secondary" size="x-large" :busy="busy">Connect</BusyButton>
    </form>
  </main>
</template>

<style scoped>
.pair {
  max-width: 520px;
  margin: 48px auto 0;
  padding: 16px;
  display: grid;
  gap: 16px;
  outline: none;
}
.shell {
  width: 64px;
}
form {
  display: grid;
  gap: 16px;
}
.digits :deep(input) {
  font-size: var(--s28);
  letter-spacing: 0.12em;
}
</style>
