<script setup lang="ts">
import { computed, reactive, ref, watch } from 'vue'
import { useRoute, useRouter } from 'vue-router'

import BookOpening from '@/features/threads/BookOpening.vue'
import ChoiceList from '@/shared/controls/ChoiceList.vue'
import EmptyShell from '@/shared/controls/EmptyShell.vue'
import HolePanel from '@/features/threads/HolePanel.vue'
import LimitsTable from '@/features/threads/LimitsTable.vue'
import PipeHolePanel from '@/features/threads/PipeHolePanel.vue'
import WaitingSign from '@/shared/controls/WaitingSign.vue'
import SheetDrawing from '@/shared/drawing/SheetDrawing.vue'
import DieMemory from '@/features/threads/DieMemory.vue'
import ShopServes from '@/shared/jobs/ShopServes.vue'
import ThreadBench from '@/features/threads/ThreadBench.vue'
import ThreadHead from '@/features/threads/ThreadHead.vue'
import ThreadList from '@/features/threads/ThreadList.vue'
import ThreadOverlay from '@/features/threads/ThreadOverlay.vue'
import { provideUnit } from '@/shared/figures/useUnits'
import { useTitle } from '@/shared/state/useTitle'
import { type CardQuery, EMPTY, useCard } from '@/features/threads/useCard'

/** The book of threads: type or browse on the left, the thread's page on the right. */
const route = useRoute()
const router = useRouter()
const query = reactive<CardQuery>({ ...EMPTY, q: String(route.query.q ?? '') })
const nut = ref(String(route.query.over ?? ''))
const { found: card, problem } = useCard(query)
provideUnit(() => card.value?.unit)
const OWN = ['class', 'internal_class', 'engagement', 'wire', 'drill', 'plating']
/** What is wrong with the thread itself stands at the search; the rest beside its own field. */
const atSearch = computed(() =>
  problem.value && !problem.value.errors.some((e) => OWN.includes(e.field)) ? problem.value : null,
)
const shown = computed(() => (query.q.trim() && !atSearch.value ? card.value : null))
useTitle(() => shown.value?.designation)

function choose(designation: string) {
  Object.assign(query, { ...EMPTY, q: designation })
  remember()
}
function remember() {
  const told = { ...(query.q ? { q: query.q } : {}), ...(nut.value ? { over: nut.value } : {}) }
  void router.replace({ query: told })
}
function layOver() {
  const place = document.getElementById('overlay')
  place?.scrollIntoView({ block: 'center' })
  place?.querySelector('input')?.focus()
}
watch(nut, remember)
watch(
  () => route.query.q,
  (now) => {
    if (typeof now === 'string' && now !== query.q) choose(now)
  },
)
</script>

<template>
  <div class="book">
    <h1 v-if="!shown" class="sr">Threads</h1>
    <aside class="side">
      <v-text-field
        :model-value="query.q"
        label="Find a thread"
        placeholder="e.g. 3/8-16, M8x1, G3/8"
        density="comfortable"
        hide-details
        autocomplete="off"
        autocapitalize="off"
        spellcheck="false"
        maxlength="200"
        @update:model-value="(typed) => Object.assign(query, { ...EMPTY, q: typed })"
        @change="remember"
      />
      <div v-if="atSearch" class="asked" role="alert">
        <p class="field-error">{{ atSearch.message }}</p>
        <ChoiceList :choices="atSearch.errors[0]?.choices ?? []" @take="choose" />
      </div>
      <ThreadList :chosen="shown?.designation" :series="shown?.series" @choose="choose" />
    </aside>
    <article v-if="shown" class="page">
      <ThreadHead
        :card="shown"
        :query="query"
        :errors="problem?.errors ?? []"
        @change="(field, value) => (query[field] = value)"
        @over="layOver"
      />
      <ThreadBench
        first
        :card="shown"
        :query="query"
        :errors="problem?.errors ?? []"
        @change="(field, value) => (query[field] = value)"
      />
      <ShopServes :thread="shown.designation" />
      <DieMemory :thread="shown.designation" />
      <SheetDrawing class="drawing" told :sheet="shown.drawing" />
      <LimitsTable v-if="shown.limits.length" :card="shown" />
      <ThreadBench
        :card="shown"
        :query="query"
        :errors="problem?.errors ?? []"
        @change="(field, value) => (query[field] = value)"
      />
      <HolePanel
        v-if="shown.external && shown.internal"
        :thread="shown.designation"
        :internal-class="query.internal_class"
      />
      <PipeHolePanel v-if="shown.designation && !shown.internal" :thread="shown.designation" />
      <ThreadOverlay v-if="shown.external" id="overlay" v-model:nut="nut" :bolt="shown.designation" />
    </article>
    <BookOpening v-else-if="!query.q.trim()" @choose="choose" />
    <EmptyShell v-else-if="atSearch">{{
      atSearch.errors[0]?.choices.length
        ? 'Choose the thread you mean, on the left.'
        : 'No thread of that name. Check the spelling, or identify the thread.'
    }}</EmptyShell>
    <WaitingSign v-else what="the thread" />
  </div>
</template>

<style scoped>
.book {
  display: grid;
  grid-template-columns: 250px minmax(0, 1fr);
  gap: 20px 32px;
}
.side {
  display: grid;
  gap: 14px;
  align-content: start;
}
.page {
  display: grid;
  grid-template-columns: minmax(0, 1fr);
  gap: 18px;
  align-content: start;
}
.drawing {
  background: var(--surface);
  border: 1px solid var(--line);
  border-radius: var(--round);
}
.empty {
  align-self: start;
}
@media (max-width: 900px) {
  .book {
    grid-template-columns: minmax(0, 1fr);
  }
}
@media print {
  .side {
    display: none;
  }
  .book {
    grid-template-columns: minmax(0, 1fr);
  }
}
@media (min-width: 901px) {
  .side {
    position: sticky;
    top: 12px;
    align-self: start;
  }
}
/* On paper: the page of the thread alone. */
@media print {
  .book {
    display: block;
  }
  .side,
  .page > .hole,
  .page > .overlay {
    display: none;
  }
}
</style>
