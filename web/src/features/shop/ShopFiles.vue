<script setup lang="ts">
import { computed, ref } from 'vue'
import { VCheckbox } from 'vuetify/components/VCheckbox'

import { ask, asProblem, client, type Schemas } from '@/shared/api/client'
import { type Said, type Thing, useKinds } from '@/features/shop/useKit'
import BusyButton from '@/shared/controls/BusyButton.vue'
import FileLink from '@/shared/controls/FileLink.vue'
import FittersOnly from '@/shared/controls/FittersOnly.vue'

/** The shop as files: read in row by row, what is sound and what is not side by side; taken along as JSON, CSV, labels. */
const props = defineProps<{ add: (wanted: Said[]) => Promise<unknown>; things: Thing[] }>()
const MOST_BYTES = 4_000_000
const { data: kinds } = useKinds()
const input = ref<HTMLInputElement>()
const rows = ref<Schemas['FileRowShown'][]>([])
const turned = ref<Record<number, boolean>>({})
const name = ref('')
const trouble = ref('')
const busy = ref(false)
const good = computed(() => rows.value.filter((row) => row.thing))
const bad = computed(() => rows.value.filter((row) => !row.thing))
const ticked = (row: Schemas['FileRowShown']) => turned.value[row.line] ?? !row.thing?.known
const wanted = computed(() => good.value.filter(ticked).flatMap((row) => (row.thing ? [row.thing] : [])))
const owned = computed(() =>
  (kinds.value ?? []).filter((one) => props.things.some((thing) => thing.kind === one.kind)),
)
async function attempt(act: () => Promise<unknown>) {
  busy.value = true
  trouble.value = ''
  try {
    await act()
  } catch (failed) {
    const problem = asProblem(failed)
    trouble.value = problem.errors[0]?.message ?? problem.message
  } finally {
    busy.value = false
    if (input.value) input.value.value = ''
  }
}
const read = (event: Event) =>
  attempt(async () => {
    const file = (event.target as HTMLInputElement).files?.[0]
    if (!file) return
    rows.value = []
    turned.value = {}
    name.value = file.name
    if (file.size > MOST_BYTES) trouble.value = `${file.name} is larger than 4 MB, so it is not a shop file.`
    else rows.value = await ask(client.POST('/api/kit/read', { body: { text: await file.text() } }))
  })
/** Rows that could not be read stay in sight, to be put right in the file. */
const put = () =>
  attempt(async () => {
    await props.add(wanted.value)
    rows.value = bad.value
  })
</script>

<template>
  <section class="files" aria-label="Files of the shop">
    <FittersOnly
      ><p>
        <plain-btn @click="input?.click()">Import a shop file (JSON or CSV)</plain-btn>
        <input
          ref="input"
          class="sr"
          type="file"
          tabindex="-1"
          accept=".json,.csv,application/json,text/csv"
          aria-label="Shop file"
          @change="read"
        /></p
    ></FittersOnly>
    <details v-if="things.length">
      <summary>Export the shop</summary>
      <a href="/api/kit/kit.json">Shop file (JSON)</a>,
      <FileLink href="/api/kit/labels.pdf" what="labels">Labels to print (PDF)</FileLink>, CSV:
      <template v-for="(one, n) in owned" :key="one.kind"
        ><template v-if="n">, </template><a :href="`/api/kit/csv/${one.kind}`">{{ one.name }}</a></template
      >
    </details>
    <p v-if="trouble" class="field-error" role="alert">{{ trouble }}</p>
    <form v-if="rows.length" :aria-label="`Items in ${name}`" @submit.prevent="put">
      <ul v-if="bad.length" class="bad">
        <li v-for="row in bad" :key="row.line" class="field-error">
          <template v-for="error in row.errors" :key="error.field + error.message"
            >Line {{ row.line }}, {{ error.field }}: {{ error.message }}
          </template>
        </li>
      </ul>
      <p v-if="bad.length && good.length" class="muted small">
        {{ bad.length }} of {{ rows.length }} lines have errors and are left out. The others can be added.
      </p>
      <div class="rows">
        <v-checkbox
          v-for="row in good"
          :key="row.line"
          :label="row.thing?.known ? `${row.thing.name}: already in the shop` : row.thing?.name"
          :model-value="ticked(row)"
          @update:model-value="turned[row.line] = $event === true"
        />
      </div>
      <BusyButton v-if="wanted.length" type="submit" color="secondary" :busy="busy">{{
        wanted.length === 1 ? 'Add 1 item to the shop' : `Add ${wanted.length} items to the shop`
      }}</BusyButton>
    </form>
  </section>
</template>

<style scoped>
.files {
  display: flex;
  flex-wrap: wrap;
  gap: 4px 24px;
  font-size: var(--s14);
}
.rows {
  display: grid;
  grid-template-columns: repeat(auto-fill, minmax(190px, 1fr));
}
form {
  flex-basis: 100%;
  display: grid;
  gap: 8px;
  justify-items: start;
  padding-top: 8px;
}
form > * {
  width: 100%;
}
form > .v-btn {
  width: auto;
}
</style>
