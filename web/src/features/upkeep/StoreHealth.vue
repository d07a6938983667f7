<script setup lang="ts">
import FileLink from '@/shared/controls/FileLink.vue'
import { moments } from '@/shared/figures/dates'
import { useQuery } from '@tanstack/vue-query'

import WaitingSign from '@/shared/controls/WaitingSign.vue'
import { asProblem, ask, client } from '@/shared/api/client'

/** How the store stands, and the ways to take it along. */
const { data: told, error } = useQuery({
  queryKey: ['health'],
  queryFn: () => ask(client.GET('/api/health')),
  refetchOnMount: 'always',
})
</script>

<template>
  <section aria-label="Data and backups" class="store">
    <h2>Data and backups</h2>
    <p v-if="error" class="field-error" role="alert">{{ asProblem(error).message }}</p>
    <WaitingSign v-else-if="!told" what="the data" />
    <template v-if="told">
      <dl>
        <div>
          <dt>jobs</dt>
          <dd class="fig">{{ told.jobs }}</dd>
        </div>
        <div>
          <dt>records</dt>
          <dd class="fig">{{ told.entries }}</dd>
        </div>
        <div>
          <dt>items in the shop</dt>
          <dd class="fig">{{ told.things }}</dd>
        </div>
        <div>
          <dt>size</dt>
          <dd class="fig">{{ told.store }}</dd>
        </div>
        <div>
          <dt>last backup</dt>
          <dd class="fig">{{ told.last_copy ? moments.format(new Date(told.last_copy)) : 'none yet' }}</dd>
        </div>
      </dl>
      <ul class="findings">
        <li v-for="one in told.findings" :key="one.name" :class="{ care: !one.well }">
          <strong>{{ one.well ? '✓' : '▲ Check' }} {{ one.name }}</strong> {{ one.told }}
        </li>
      </ul>
      <p>
        <FileLink href="/api/everything.zip" what="export">Export everything</FileLink>
        <span class="muted">
          One zip file in open formats. <code>./conch import FILE</code> loads it into an empty data
          folder.</span
        >
      </p>
      <p class="muted small">
        Data folder: <code>{{ told.folder }}</code>. Daily backups: <code>backups</code> in that folder.
        <code>./conch restore FILE</code> puts a backup back; <code>./conch check</code> checks the data.
        Conch version {{ told.version }}.
      </p>
    </template>
  </section>
</template>

<style scoped>
.store {
  display: grid;
  gap: 12px;
}
dl {
  display: flex;
  flex-wrap: wrap;
  gap: 12px 48px;
}
dt {
  color: var(--muted);
  font-size: var(--s14);
}
dd {
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
