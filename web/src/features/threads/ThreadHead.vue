<script setup lang="ts">
import { computed } from 'vue'

import type { FieldError, Schemas } from '@/shared/api/client'
import InlineChoice from '@/shared/controls/InlineChoice.vue'
import InlineField from '@/shared/controls/InlineField.vue'
import { type CardQuery, cardFile } from '@/features/threads/useCard'
import { useFavourites } from '@/features/threads/useFavourites'
import { useMe } from '@/shared/api/useMe'

/** The page's head: the thread, what its letters mean, its classes, and ways to take it away. */
const props = defineProps<{ card: Schemas['CardShown']; query: CardQuery; errors: FieldError[] }>()
const emit = defineEmits<{ change: [field: keyof CardQuery, value: string]; over: [] }>()
const { kept, toggle } = useFavourites()
const isKept = computed(() => kept.value.includes(props.card.designation))
const error = (field: string) => props.errors.find((e) => e.field === field)
const choices = (names: string[]) => names.map((code) => ({ code, name: code, remark: '' }))
const print = () => window.print()
const { looksOnly } = useMe()
</script>

<template>
  <header class="head">
    <div class="title">
      <h1 class="fig">{{ card.designation }}</h1>
      <plain-btn v-if="!looksOnly" :aria-pressed="isKept" @click="toggle(card.designation)">
        {{ isKept ? '★ Remove from favourites' : '☆ Add to favourites' }}
      </plain-btn>
      <plain-btn v-if="card.external" @click="emit('over')"> Compare with another thread </plain-btn>
      <span class="files">
        <plain-btn @click="print">Print this page</plain-btn>
        <a
          v-for="kind in ['csv', 'json', 'svg', 'dxf']"
          :key="kind"
          class="plain"
          :href="cardFile(query, kind)"
          download
          >{{ kind.toUpperCase() }}</a
        >
      </span>
    </div>
    <dl class="letters" aria-label="What the designation means">
      <div v-for="(letter, n) in card.letters" :key="n">
        <dt class="fig">{{ letter.text || '·' }}</dt>
        <dd class="small">{{ letter.means }}</dd>
      </div>
    </dl>
    <p v-for="note in card.notes" :key="note" class="note">◆ {{ note }}</p>
    <p class="classes">
      <InlineChoice
        v-if="card.external"
        label="Class of the bolt"
        before="bolt class"
        :model-value="card.external.class_name"
        :choices="choices([...new Set([...card.external_classes, card.external.class_name])])"
        :error="error('class')"
        @update:model-value="emit('change', 'class', $event)"
      />
      <InlineChoice
        v-if="card.internal"
        label="Class of the nut"
        before="nut class"
        :model-value="card.internal.class_name"
        :choices="choices([...new Set([...card.internal_classes, card.internal.class_name])])"
        :error="error('internal_class')"
        @update:model-value="emit('change', 'internal_class', $event)"
      />
      <InlineField
        v-if="card.external"
        label="Length of engagement"
        before="length of engagement"
        placeholder="standard"
        :model-value="query.engagement"
        :error="error('engagement')"
        figure
        @update:model-value="emit('change', 'engagement', $event)"
      />
      <span class="muted small">{{ card.source.title }}</span>
    </p>
  </header>
</template>

<style scoped>
.head {
  display: grid;
  gap: 8px;
}
.title {
  display: flex;
  flex-wrap: wrap;
  gap: 4px 16px;
  align-items: baseline;
}
.files {
  display: flex;
  flex-wrap: wrap;
  margin-left: auto;
}
.letters {
  display: flex;
  flex-wrap: wrap;
  gap: 4px 24px;
}
.letters div {
  display: flex;
  gap: 8px;
  align-items: baseline;
}
dt {
  font-weight: 700;
}
.note {
  color: var(--caution);
}
.classes {
  display: flex;
  flex-wrap: wrap;
  gap: 4px 24px;
  align-items: baseline;
}
@media print {
  .title :deep(.plain),
  .files {
    display: none;
  }
}
</style>
