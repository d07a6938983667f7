<script setup lang="ts">
import { ref } from 'vue'

import type { FieldError, Schemas } from '@/shared/api/client'
import InlineField from '@/shared/controls/InlineField.vue'

/** How often each series is met before anything is measured: shown, and set by typing over it. */
defineProps<{
  priors: Schemas['PriorShown'][]
  shares: Record<string, string>
  errors: FieldError[]
}>()
const emit = defineEmits<{ change: [series: string, share: string] }>()
const open = ref(false)
const per = (share: number) => (share >= 0.1 ? (share * 100).toFixed(0) : (share * 100).toFixed(1))
</script>

<template>
  <section class="priors" aria-label="Starting odds">
    <p class="muted small">
      Starting odds, from origin and use of the machine:
      {{
        priors
          .slice(0, 6)
          .map((p) => `${p.name} ${per(p.share)} %`)
          .join(', ')
      }}.
      <plain-btn :aria-expanded="open" @click="open = !open">
        {{ open ? 'Done' : 'Change the odds' }}
      </plain-btn>
    </p>
    <ul v-if="open">
      <li v-for="p in priors" :key="p.series">
        <InlineField
          :label="`Odds of ${p.name}, per cent`"
          :before="p.name"
          after="%"
          :placeholder="`usual: ${per(p.share)}`"
          :model-value="shares[p.series] ?? ''"
          :error="errors.find((e) => e.field === `shares.${p.series}`)"
          figure
          @update:model-value="emit('change', p.series, $event)"
        />
      </li>
    </ul>
  </section>
</template>

<style scoped>
ul {
  display: grid;
  grid-template-columns: repeat(auto-fill, minmax(260px, 1fr));
  gap: 4px 24px;
  margin-top: 4px;
}
</style>
