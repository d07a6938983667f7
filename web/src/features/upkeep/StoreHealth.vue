<script setup lang="ts">
import { useQuery } from '@tanstack/vue-query'

import WaitingSign from '@/shared/controls/WaitingSign.vue'
import { asProblem, ask, client } from '@/shared/api/client'

/** How the store stands, and the ways to take it along. */
const { data: told, error } = useQuery({
  queryKey: ['health'],
  queryFn: () => ask(client.GET('/api/health')),
  refetchOnMount: 'always',
})
const when = new Intl.DateTimeFormat('en-GB', { dateStyle: 'medium', timeStyle: 'short' })
</script>

<template>
  <section aria-label="Store" class="store">
    <h2>Store</h2>
    <p v-if="error" class="field-error" role="alert">{{ asProblem(error).message }}</p>
    <WaitingSign v-else-if="!told" what="the store" />
    <template v-if="told">
      <dl>
        <div>
          <dt>jobs</dt>
          <dd class="fig">{{ told.jobs }}</dd>
        </div>
        <div>
          <dt>entries</dt>
          <dd class="fig">{{ told.entries }}</dd>
        </div>
        <div>
          <dt>things in the shop</dt>
          <dd class="fig">{{ told.things }}</dd>
        </div>
        <div>
          <dt>size</dt>
          <dd class="fig">{{ told.store }}</dd>
        </div>
        <div>
          <dt>last copy</dt>
          <dd class="fig">{{ told.last_copy ? when.format(new Date(told.last_copy)) : 'none yet' }}</dd>
        </div>
      </dl>
      <ul class="findings">
        <li v-for="one in told.findings" :key="one.name" :class="{ care: !one.well }">
          <strong>{{ one.well ? '✓' : '▲ Care' }} {{ one.name }}</strong> {{ one.told }}
        </li>
      </ul>
      <p>
        <a href="/api/everything.zip" download>Take everything along</a>
        <span class="muted">
          one zip of open formats; <code>./conch import FILE</code> reads it into another folder</span
        >
      </p>
      <p class="muted small">
        The store is in <code>{{ told.folder }}</code>, its daily copies in <code>backups</code> there;
        <code>./conch restore FILE</code> puts one in place, <code>./conch check</code> looks every page of it
        over. This is Conch {{ told.version }}.
      </p>
    </template>
  </section>
</template>

<style scoped>
.store {
  display: grid;
  gap: 14px;
}
dl {
  display: flex;
  flex-wrap: wrap;
  gap: 12px 40px;
}
dt {
  color: var(--muted);
  font-size: var(--s14);
}
dd {
  font-size: var(--s28);
  font-weight: 700;
}
.findings {
  display: grid;
  gap: 4px;
}
.findings li {
  display: grid;
  grid-template-columns: 10em minmax(0, 1fr);
}
.findings strong {
  color: var(--good);
}
.findings .care strong {
  color: var(--caution);
}
code {
  overflow-wrap: anywhere;
}
</style>
