<script setup lang="ts">
import { computed } from 'vue'

import type { Schemas } from '@/shared/api/client'
import { useNeeds } from '@/shared/jobs/useNeeds'

/** What a job asks for and the shop has not, before the first cut; nothing where all is there. */
const props = defineProps<{ id: number; part: number; revision: number }>()
const { needs } = useNeeds(() => ({ id: props.id, part: props.part, revision: props.revision }))
const others = (need: Schemas['NeedShown']) =>
  need.instead.filter((one) => one.serves).map((one) => one.words)
const missing = computed(() => needs.value.filter((one) => !one.id))
</script>

<template>
  <section v-if="missing.length" aria-label="Not in the shop" class="notice">
    <p v-for="need in missing" :key="need.what">
      ◆ <b>Not in the shop: {{ need.what }}</b
      >{{ need.note && `, ${need.note}` }}.
      <template v-if="others(need).length">Use instead: {{ others(need).join('; ') }}.</template>
    </p>
  </section>
</template>

<style scoped>
.notice {
  color: var(--caution);
}
</style>
