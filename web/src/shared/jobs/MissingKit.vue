<script setup lang="ts">
import { computed, ref } from 'vue'

import type { Schemas } from '@/shared/api/client'
import { useNeeds } from '@/shared/jobs/useNeeds'

/** What a job asks for and the shop has not, before the first cut: a line, and why and what serves instead when it is
 * pressed; nothing where all is there. */
const props = defineProps<{ id: number; part: number; revision: number }>()
const { needs } = useNeeds(() => ({ id: props.id, part: props.part, revision: props.revision }))
const others = (need: Schemas['NeedShown']) =>
  need.instead.filter((one) => one.serves).map((one) => one.words)
const missing = computed(() => needs.value.filter((one) => !one.id))
const more = computed(() => missing.value.some((one) => one.note || others(one).length))
const open = ref(false)
</script>

<template>
  <section v-if="missing.length" aria-label="Not in the shop" class="notice" :class="{ open }">
    <p>
      ◆ <b>Not in the shop:</b> {{ missing.map((need) => need.what).join('; ') }}.
      <plain-btn v-if="more" class="more" :aria-expanded="open" @click="open = !open">{{
        open ? 'Less' : 'Use instead'
      }}</plain-btn>
    </p>
    <ul v-if="open">
      <li v-for="need in missing" :key="need.what">
        <b>{{ need.what }}</b>{{ need.note && `, ${need.note}` }}.
        <template v-if="others(need).length">Use instead: {{ others(need).join('; ') }}.</template>
      </li>
    </ul>
  </section>
</template>

<style scoped>
.notice {
  color: var(--caution);
}
.notice .more.v-btn {
  min-height: 24px;
  height: 24px;
}
</style>
