<script setup lang="ts">
import { computed, reactive, ref, watch } from 'vue'
import { useRoute, useRouter } from 'vue-router'

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
import ThreadStrip from '@/features/threads/ThreadStrip.vue'
import ThreadOverlay from '@/features/threads/ThreadOverlay.vue'
import SizeRule from '@/shared/threads/SizeRule.vue'
import { useFavourites } from '@/features/threads/useFavourites'
import { useLive } from '@/shared/api/useLive'
import { ask, client } from '@/shared/api/client'
import { provideUnit, useUnits } from '@/shared/figures/useUnits'
import { useTitle } from '@/shared/state/useTitle'
import { type CardQuery, EMPTY, useCard } from '@/features/threads/useCard'

/** The book of threads: what is typed, its neighbours, the page of the thread. */
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
const { kept } = useFavourites()
const choices = computed(() => atSearch.value?.errors[0]?.choices ?? [])
/** What is typed may be a size: then every series says what it has there. */
const { unit } = useUnits()
const { found: near } = useLive(
  'near',
  () => (query.q.trim() && !shown.value ? JSON.stringify([query.q.trim(), unit.value]) : null),
  () =>
    ask(client.GET('/api/threads/near', { params: { query: { size: query.q.trim(), unit: unit.value } } })),
)

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
  <div class="book" :class="{ open: shown }">
    <header class="find">
      <h1 v-if="!shown">Threads</h1>
      <v-text-field
        :model-value="query.q"
        label="Find a thread"
        placeholder="a name, or what it measures: 3/8-16, M8x1, 9.4 mm"
        hide-details
        autocomplete="off"
        autocapitalize="off"
        spellcheck="false"
        maxlength="200"
        @update:model-value="(typed) => Object.assign(query, { ...EMPTY, q: typed })"
        @change="remember"
      />
      <p v-if="kept.length" class="kept" role="group" aria-label="Favourites">
        <span class="small muted">Favourites</span>
        <plain-btn v-for="name in kept" :key="name" class="fig" @click="choose(name)">{{ name }}</plain-btn>
      </p>
      <div v-if="atSearch && !(near && !choices.length)" class="asked" role="alert">
        <p class="field-error">{{ atSearch.message }}</p>
        <ChoiceList :choices="choices" @take="choose" />
      </div>
    </header>
    <ThreadStrip
      v-if="shown"
      class="strip"
      :chosen="shown.designation"
      :series="shown.series"
      @choose="choose"
    />
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
    <SizeRule v-else-if="!query.q.trim() || near" class="whole" :near="near ?? undefined" @choose="choose" />
    <EmptyShell v-else-if="atSearch">{{
      choices.length
        ? 'Choose the thread you mean.'
        : 'No thread of that name. Check the spelling, or identify the thread.'
    }}</EmptyShell>
    <WaitingSign v-else what="the thread" />
  </div>
</template>

<style scoped>
.book {
  display: grid;
  grid-template-columns: minmax(0, 1fr);
  gap: 16px 32px;
}
.find {
  display: flex;
  flex-wrap: wrap;
  gap: 8px 24px;
  align-items: center;
}
.find > .v-input {
  flex: 0 1 420px;
}
.find > .asked {
  flex: 1 0 100%;
}
.kept {
  display: flex;
  flex-wrap: wrap;
  gap: 4px 12px;
  align-items: baseline;
  margin-left: auto;
}
.open {
  gap: 8px;
}
.page {
  display: grid;
  grid-template-columns: minmax(0, 1fr);
  gap: 16px;
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
/* What was asked for comes first; its neighbours and the favourites stand under it. */
@media (max-width: 900px) {
  .open > .strip {
    order: 1;
  }
  .find > .v-input {
    flex-basis: 100%;
  }
  .open .kept {
    display: none;
  }
}
/* On paper: the page of the thread alone. */
@media print {
  .book {
    display: block;
  }
  .find,
  .strip,
  .page > .hole,
  .page > .overlay {
    display: none;
  }
}
</style>
