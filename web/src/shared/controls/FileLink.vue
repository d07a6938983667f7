<script setup lang="ts">
import { onScopeDispose, ref } from 'vue'

/** A file that may take a while to make: what is being done is seen, and can be stopped. */
const props = defineProps<{ href: string; what: string }>()
const LONG_MS = 400
const TICK_MS = 250
/** For how long it is under way (s); below 0 it is not, or too short to be spoken of. */
const seconds = ref(-1)
const trouble = ref('')
let request: AbortController | null = null
let ticking = 0

function end() {
  window.clearInterval(ticking)
  request = null
  seconds.value = -1
}
function keep(content: Blob, name: string) {
  const link = document.createElement('a')
  link.href = URL.createObjectURL(content)
  link.download = name
  link.click()
  window.setTimeout(() => URL.revokeObjectURL(link.href))
}
async function take() {
  if (request) return
  request = new AbortController()
  trouble.value = ''
  const began = Date.now()
  ticking = window.setInterval(() => {
    const passed = Date.now() - began
    if (passed >= LONG_MS) seconds.value = Math.floor(passed / 1000)
  }, TICK_MS)
  try {
    const answer = await fetch(props.href, { signal: request.signal })
    if (!answer.ok) throw new Error(`The ${props.what} could not be made. Try again.`)
    const name = answer.headers.get('Content-Disposition')?.match(/filename="([^"]+)"/)?.[1]
    keep(await answer.blob(), name ?? props.what)
  } catch (failed) {
    const stopped = failed instanceof DOMException && failed.name === 'AbortError'
    if (!stopped)
      trouble.value =
        failed instanceof TypeError
          ? 'Conch does not answer. Check that it is running, then try again.'
          : (failed as Error).message
  } finally {
    end()
  }
}
onScopeDispose(() => request?.abort())
</script>

<template>
  <span class="file">
    <a :href="href" download @click.prevent="take"><slot /></a>
    <span v-if="seconds >= 0" class="small" role="status"
      >◌ Making the {{ what }}, {{ seconds }} s <plain-btn @click="request?.abort()">Stop</plain-btn></span
    >
    <span v-if="trouble" class="field-error" role="alert">{{ trouble }}</span>
  </span>
</template>

<style scoped>
.small {
  margin-left: 12px;
}
</style>
