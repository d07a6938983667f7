<script setup lang="ts">
import { computed, ref } from 'vue'
import { VCheckbox } from 'vuetify/components/VCheckbox'
import { VTextarea } from 'vuetify/components/VTextarea'

import { ask, asProblem, client } from '@/shared/api/client'
import { useLive } from '@/shared/api/useLive'
import { useMe } from '@/shared/api/useMe'
import { useBrowserKit } from '@/features/shop/useBrowserKit'
import ThingShape from '@/features/shop/ThingShape.vue'
import type { Named, Said } from '@/features/shop/useKit'
import BusyButton from '@/shared/controls/BusyButton.vue'

/** One field that finds and adds: what one owns, typed a line each as people say it. What each line names is shown as it
 * is typed, and ticked; while something of the shop is found by it, what cannot be added is left unsaid. Whoever only
 * looks finds, and adds nothing. */
const props = defineProps<{
  add: (wanted: Said[]) => Promise<unknown>
  lathes: number
  found: boolean
}>()
const text = defineModel<string>({ required: true })
const { looksOnly } = useMe()
const busy = ref(false)
const browser = useBrowserKit()
const remembered = browser.lines
/** A lathe that this browser knows of, where the shop has none. */
const lathe = computed(() => (props.lathes ? null : browser.lathe.value))
const moving = ref(false)
function move() {
  moving.value = true
  text.value = remembered.value.join('\n')
}
const trouble = ref('')
/** Things that were ticked otherwise than they came, by line and place. */
const turned = ref<Record<string, boolean>>({})
const { found: named, problem } = useLive(
  'kit-typed',
  () => (looksOnly.value ? null : text.value.trim() || null),
  (typed) => ask(client.POST('/api/kit/typed', { body: { text: typed } })),
)
const lines = computed(() =>
  (named.value ?? []).filter((line) => !props.found || line.things.some((thing) => !thing.known)),
)
/** What words may be that nothing was made of, in the order of the choices: the line is put right by a press. */
const LEFT = ['It is the place', 'It is a note', 'Leave it out']
function instead(line: string, choice: string) {
  text.value = text.value
    .split(/[\n;]/)
    .map((one) => (one.trim() === line ? choice : one.trim()))
    .filter(Boolean)
    .join('\n')
}
const ticked = (line: string, thing: Named) => turned.value[`${line} ${thing.name}`] ?? !thing.known
const wanted = computed(() =>
  lines.value.flatMap((line) => line.things.filter((thing) => ticked(line.text, thing))),
)
async function keepLathe() {
  if (!lathe.value) return
  trouble.value = ''
  try {
    await props.add([{ kind: 'lathe', document: lathe.value }])
    browser.latheDone()
  } catch (failed) {
    trouble.value = asProblem(failed).message
  }
}
/** Lines that were not understood stay, to be put right. */
async function put() {
  busy.value = true
  trouble.value = ''
  try {
    await props.add(wanted.value)
    if (moving.value) browser.done()
    moving.value = false
    text.value = lines.value
      .filter((line) => line.error)
      .map((line) => line.text)
      .join('\n')
    turned.value = {}
  } catch (failed) {
    trouble.value = asProblem(failed).message
  } finally {
    busy.value = false
  }
}
</script>

<template>
  <form class="add" aria-label="Find or add" novalidate @submit.prevent="put">
    <v-textarea
      v-model="text"
      class="field"
      :label="looksOnly ? 'Find in the shop' : 'Find, or type what you own: one line for each'"
      :placeholder="looksOnly ? 'e.g. bsw worn' : 'e.g. bsw worn, or M3-M12 dies carbon'"
      persistent-placeholder
      rows="1"
      auto-grow
      variant="outlined"
      density="compact"
      hide-details
      maxlength="8000"
      autocomplete="off"
      spellcheck="false"
    />
    <div v-if="!looksOnly" class="below">
      <BusyButton v-if="wanted.length" type="submit" color="secondary" :busy="busy">
        {{ wanted.length === 1 ? 'Add 1 item to the shop' : `Add ${wanted.length} items to the shop` }}
      </BusyButton>
      <p v-if="remembered.length && !moving" role="note">
        This browser still has your old drill list: {{ remembered.join(', ') }}.
        <plain-btn @click="move">Add them to the shop</plain-btn>
        <plain-btn @click="browser.done()">Delete the list</plain-btn>
      </p>
      <p v-if="lathe" role="note">
        This browser still has the lathe of your last job: {{ lathe.dial }} dial<template v-if="lathe.weight"
          >, {{ lathe.weight }}</template
        >.
        <plain-btn @click="keepLathe">Add it to the shop</plain-btn>
        <plain-btn @click="browser.latheDone()">Delete it</plain-btn>
      </p>
      <p v-if="problem" class="field-error" role="alert">{{ problem.message }}</p>
      <ul v-if="lines.length" class="lines">
        <li v-for="line in lines" :key="line.text">
          <span v-if="line.error" class="field-error" role="alert">
            <span class="fig">{{ line.text }}</span>: {{ line.error.message }}
            <span v-if="line.error.code === 'left-over'" class="asked">
              <v-btn
                v-for="(choice, n) in line.error.choices"
                :key="choice"
                variant="outlined"
                @click="instead(line.text, choice)"
                >{{ LEFT[n] }}</v-btn
              >
            </span>
          </span>
          <template v-else>
            <v-checkbox
              v-for="thing in line.things"
              :key="thing.name"
              :aria-label="thing.known ? `${thing.name}: already in the shop` : thing.name"
              :model-value="ticked(line.text, thing)"
              @update:model-value="turned[`${line.text} ${thing.name}`] = $event === true"
            >
              <template #label>
                <span class="drawn">
                  <ThingShape :thing="{ ...thing, said: thing.document }" :gone="!ticked(line.text, thing)" />
                  <span class="small" :class="{ fig: thing.across_mm }">{{ thing.short }}</span>
                  <span v-if="thing.known" class="small muted">already in the shop</span>
                </span>
              </template>
            </v-checkbox>
          </template>
        </li>
      </ul>
      <p v-if="trouble" class="field-error" role="alert">{{ trouble }}</p>
    </div>
  </form>
</template>

<style scoped>
.asked {
  display: flex;
  flex-wrap: wrap;
  gap: 8px;
  margin: 4px 0;
}
/* The field stands at the head of the page, what comes of it under the head. */
.add {
  display: contents;
}
.below {
  grid-column: 1 / -1;
  display: grid;
  gap: 8px;
  justify-items: start;
}
.below:empty {
  display: none;
}
.below > * {
  width: 100%;
}
.below > .v-btn {
  width: auto;
}
.lines {
  display: grid;
  gap: 8px;
}
/* A set as it lies in its box. */
.lines li:has(.drawn) {
  background: var(--quiet);
  border: 1px solid var(--line);
  border-radius: var(--round);
  padding: 12px 16px;
  display: flex;
  flex-wrap: wrap;
  align-items: flex-end;
  gap: 4px 16px;
}
.drawn {
  display: grid;
  justify-items: center;
}
.field-error {
  grid-column: 1 / -1;
}
</style>
