<script setup lang="ts">
import { computed, defineAsyncComponent, nextTick, ref, watch } from 'vue'

import ChoiceList from '@/shared/controls/ChoiceList.vue'
import { useSize } from '@/shared/api/useSize'
import { useNarrow } from '@/shared/state/useScreen'

const answerPart = () => import('@/features/size/SizeAnswer.vue')
const SizeAnswer = defineAsyncComponent(answerPart)

const open = defineModel<boolean>('open', { required: true })
const text = ref('')
const narrow = useNarrow()
const { size, problem } = useSize(text)
/** A pitch by itself is no thread: its gears are on another page. */
const pitch = computed(() =>
  problem.value?.errors[0]?.code === 'pitch-only'
    ? text.value.trim().replace(/\s*(?:\bpitch|\blead)\b\s*/gi, '')
    : '',
)
const field = ref<{ focus: () => void }>()

watch(
  open,
  async (now) => {
    if (!now) return
    void answerPart()
    await nextTick()
    field.value?.focus()
  },
  { immediate: true },
)

function close() {
  open.value = false
  ;(document.activeElement as HTMLElement | null)?.blur()
}
function leave(event: FocusEvent) {
  const into = event.relatedTarget as Node | null
  if (into && !(event.currentTarget as Node).contains(into)) open.value = false
}
</script>

<template>
  <div class="size" role="search" @keydown.esc.stop="close" @focusout="leave">
    <v-text-field
      ref="field"
      v-model="text"
      aria-label="Size a thread"
      :placeholder="narrow ? 'Thread, e.g. M8' : 'Size a thread, e.g. 3/8-16, M8x1, 1/4 BSW, G3/8, 2BA'"
      density="compact"
      hide-details
      autocomplete="off"
      autocapitalize="off"
      spellcheck="false"
      :maxlength="200"
      @focus="open = true"
    >
      <template #append-inner><kbd>/</kbd></template>
    </v-text-field>
    <div v-if="open && (size || problem)" class="answer" aria-live="polite">
      <div v-if="problem" class="problem">
        <p class="field-error">{{ problem.message }}</p>
        <router-link v-if="pitch" :to="{ name: 'gears', query: { pitch } }" @click="close"
          >Change gears for {{ pitch }}</router-link
        >
        <ChoiceList :choices="problem.errors[0]?.choices ?? []" @take="(choice) => (text = choice)" />
      </div>
      <SizeAnswer v-else-if="size" :size="size" @close="close" />
    </div>
  </div>
</template>

<style scoped>
.size {
  position: relative;
  flex: 1 1 480px;
  min-width: 0;
  max-width: 480px;
}
.answer {
  position: absolute;
  top: calc(100% + 8px);
  left: 0;
  width: min(880px, calc(100vw - 48px));
  max-height: calc(100vh - 90px);
  overflow-y: auto;
  background: var(--surface);
  border: 2px solid var(--lagoon);
  border-radius: var(--round);
  padding: 16px 24px;
  z-index: 6;
}
</style>
