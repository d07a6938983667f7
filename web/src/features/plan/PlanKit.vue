<script setup lang="ts">
import { useQueryClient } from '@tanstack/vue-query'
import { computed, ref, watch } from 'vue'

import { ask, asProblem, client, type Schemas } from '@/shared/api/client'

import OpenLine from '@/features/plan/OpenLine.vue'
import InlineChoice from '@/shared/controls/InlineChoice.vue'
import { useActs } from '@/shared/jobs/useActs'
import { useNeeds } from '@/shared/jobs/useNeeds'

type Thing = Schemas['ThingShown']
type Need = Schemas['NeedShown']
/** The line has its place before it is known what it says: nothing under it moves away from a press. */
const LOOKING = 'checking the shop'

/** What the plan works with, out of the shop: what is missing first, with what may stand in; the rest with its place. */
const props = defineProps<{ id: number; part: number; revision: number; closed: boolean }>()
const emit = defineEmits<{ set: [field: string, value: string]; commit: []; first: [] }>()
const { needs, known, first } = useNeeds(() => ({ id: props.id, part: props.part, revision: props.revision }))
watch(first, (told) => told && emit('first'), { immediate: true })
const missing = computed(() => needs.value.filter((one) => !one.id))
const open = ref(false)
const trouble = ref('')
const queries = useQueryClient()
const send = useActs()
/** Put in the shop what one has after all; a die is then the job's. */
async function keep(need: Need) {
  const { kind, ...document } = need.owns
  trouble.value = ''
  try {
    const body = { things: [{ kind: kind as Thing['kind'], document }] }
    await send(['keep', body], (header) => ask(client.POST('/api/kit', { params: { header }, body })))
    await queries.invalidateQueries({ queryKey: ['kit'] })
    // The job takes it when it is stored again.
    if (need.field) {
      emit('set', need.field, '')
      emit('commit')
    }
  } catch (failed) {
    trouble.value = asProblem(failed).message
  }
}
const sentence = computed(() =>
  !known.value
    ? LOOKING
    : missing.value.length
      ? `missing: ${missing.value.map((one) => one.what).join('; ')}`
      : `all ${needs.value.length} in the shop`,
)
</script>

<template>
  <OpenLine
    v-if="needs.length || !known"
    name="Tools and stock"
    :class="{ missing: missing.length }"
    :sentence="sentence"
    :open="open"
    @toggle="open = !open"
  >
    <ul>
      <li v-for="need in needs" :key="`${need.what} ${need.id}`" :class="{ lacks: !need.id }">
        <span>{{ need.id ? '✓' : '◆' }} {{ need.what }}</span>
        <span>
          <InlineChoice
            v-if="need.choices.length && !closed"
            :label="need.what"
            :choices="need.choices"
            :model-value="need.id"
            @update:model-value="emit('set', need.field, $event)"
            @commit="emit('commit')"
          />
          <router-link v-else-if="need.id" :to="{ name: 'shop', query: { thing: need.id } }">{{
            need.thing
          }}</router-link>
          <b v-else>not in the shop</b>
          <plain-btn v-if="need.owns.kind && !closed" class="small own" @click="keep(need)"
            >I have one: add it to the shop</plain-btn
          >
          <span v-if="need.place" class="muted small">, {{ need.place }}</span>
          <span v-if="need.note" class="small">: {{ need.note }}</span>
          <span
            v-for="one in need.instead"
            :key="one.words"
            class="small instead"
            :class="{ muted: !one.serves }"
            >{{ one.serves ? '' : '≠ ' }}{{ one.words }}
            <plain-btn
              v-if="one.field && !closed"
              @click="(emit('set', one.field, one.value), emit('commit'))"
              >Use this</plain-btn
            ></span
          >
        </span>
      </li>
    </ul>
    <p v-if="trouble" class="field-error" role="alert">{{ trouble }}</p>
  </OpenLine>
</template>

<style scoped>
ul {
  padding: 4px 4px 12px;
  display: grid;
  gap: 4px;
}
li {
  display: grid;
  grid-template-columns: minmax(0, 2fr) minmax(0, 3fr);
  gap: 12px;
  align-items: baseline;
}
.lacks,
.missing :deep(.head span) {
  color: var(--caution);
}
.own {
  margin-left: 12px;
}
.instead {
  display: block;
}
@media (max-width: 500px) {
  li {
    grid-template-columns: minmax(0, 1fr);
    gap: 0;
  }
}
</style>
