<script setup lang="ts">
import { ref } from 'vue'

import type { Problem } from '@/shared/api/client'
import BusyButton from '@/shared/controls/BusyButton.vue'
import ChoiceList from '@/shared/controls/ChoiceList.vue'
import type { Hand, Week } from '@/features/week/useWeek'

/** Who is in the shop, and when: typed as one says it. */
const props = defineProps<{ people: Week['people']; problem: Problem | null; busy: boolean }>()
const emit = defineEmits<{ save: [Hand[]]; close: [] }>()
const MOST = 12
const blank = (): Hand => ({ name: '', usual: '', changed: '' })
const hands = ref<Hand[]>(
  props.people.length
    ? props.people.map(({ name, usual, changed }) => ({ name, usual, changed }))
    : [{ ...blank(), name: 'me' }],
)
const FIELDS = [
  { key: 'name', label: 'Name or role', example: 'duty fitter' },
  { key: 'usual', label: 'Usual week', example: 'Thu 19-21, Sat 9-14' },
  { key: 'changed', label: 'Days that differ', example: '12 Dec off; Friday 18-20' },
] as const
const error = (at: number, key: string) => props.problem?.of(`people.${at}.${key}`)
</script>

<template>
  <form class="hours" aria-label="Hours in the shop" @submit.prevent="emit('save', hands)">
    <div v-for="(hand, at) in hands" :key="at" class="hand" role="group" :aria-label="`Person ${at + 1}`">
      <div v-for="field in FIELDS" :key="field.key" :class="field.key">
        <v-text-field
          v-model="hand[field.key]"
          :label="field.label"
          :placeholder="field.example"
          density="compact"
          autocomplete="off"
          maxlength="400"
          :error="error(at, field.key) !== undefined"
          hide-details
        />
        <p v-if="error(at, field.key)" class="field-error" role="alert">
          {{ error(at, field.key)?.message }}
          <ChoiceList
            compact
            :choices="error(at, field.key)?.choices ?? []"
            @take="(choice) => (hand[field.key] = choice)"
          />
        </p>
      </div>
      <plain-btn v-if="hands.length > 1" @click="hands.splice(at, 1)"
        >Remove {{ hand.name || 'this person' }}</plain-btn
      >
    </div>
    <p class="acts">
      <BusyButton type="submit" :busy="busy">Save the hours</BusyButton>
      <plain-btn v-if="hands.length < MOST" @click="hands.push(blank())">Add a person</plain-btn>
      <plain-btn @click="emit('close')">Cancel</plain-btn>
    </p>
  </form>
</template>

<style scoped>
.hours {
  display: grid;
  gap: 12px;
  padding: 16px 20px;
  background: var(--surface);
  border: 1px solid var(--line);
  border-radius: var(--round);
}
.hand {
  display: flex;
  flex-wrap: wrap;
  gap: 10px 14px;
  align-items: start;
}
.name {
  flex: 1 1 150px;
}
.usual,
.changed {
  flex: 2 1 260px;
}
.acts {
  display: flex;
  flex-wrap: wrap;
  gap: 8px 18px;
  align-items: center;
}
</style>
