<script setup lang="ts">
import { ref } from 'vue'
import { VSelect } from 'vuetify/components/VSelect'

import { asProblem, ask, client, type Problem } from '@/shared/api/client'
import BusyButton from '@/shared/controls/BusyButton.vue'
import ChoiceList from '@/shared/controls/ChoiceList.vue'
import type { Hand, Week } from '@/features/week/useWeek'

/** Who is in the shop, and when: typed as one says it. */
const props = defineProps<{
  people: Week['people']
  lathes: Week['lathes']
  problem: Problem | null
  busy: boolean
}>()
const emit = defineEmits<{ save: [Hand[]]; close: [] }>()
const MOST = 12
const blank = (): Hand => ({ name: '', usual: '', changed: '', lathes: [] })
const hands = ref<Hand[]>(
  props.people.length
    ? props.people.map(({ name, usual, changed, lathes }) => ({ name, usual, changed, lathes: [...lathes] }))
    : [{ ...blank(), name: 'me' }],
)
const FIELDS = [
  { key: 'name', label: 'Name or role', example: 'duty fitter' },
  { key: 'usual', label: 'Usual week', example: 'Thu 19-21, Sat 9-14' },
  { key: 'changed', label: 'Days that differ', example: '12 Dec off; Friday 18-20' },
] as const
/** The times that somebody's calendar is taken become days that differ: shown before anything is saved. */
const calendar = ref('')
async function read(event: Event, hand: Hand) {
  const input = event.target as HTMLInputElement
  const file = input.files?.[0]
  if (!file) return
  try {
    const body = { text: await file.text(), usual: hand.usual, changed: hand.changed }
    const told = await ask(client.POST('/api/week/busy', { body }))
    hand.changed = told.changed
    calendar.value = `${file.name}: ${told.times} ${told.times === 1 ? 'appointment' : 'appointments'} ahead.`
  } catch (failed) {
    calendar.value = `${file.name}: ${asProblem(failed).of('text')?.message ?? asProblem(failed).message}`
  } finally {
    input.value = ''
  }
}
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
          maxlength="2000"
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
      <div v-if="lathes.length > 1" class="lathes">
        <v-select
          v-model="hand.lathes"
          label="Lathes"
          placeholder="all"
          persistent-placeholder
          multiple
          density="compact"
          :items="lathes"
          item-title="name"
          item-value="code"
          :error="error(at, 'lathes') !== undefined"
          hide-details
        />
        <p v-if="error(at, 'lathes')" class="field-error" role="alert">{{ error(at, 'lathes')?.message }}</p>
      </div>
      <label class="calendar">
        <span class="pick">Read a calendar file</span>
        <input class="sr" type="file" accept=".ics,text/calendar" @change="read($event, hand)" />
      </label>
      <plain-btn v-if="hands.length > 1" @click="hands.splice(at, 1)"
        >Remove {{ hand.name || 'this person' }}</plain-btn
      >
    </div>
    <p v-if="calendar" role="status" class="small">{{ calendar }}</p>
    <p class="acts">
      <BusyButton type="submit" variant="outlined" :busy="busy">Save the hours</BusyButton>
      <plain-btn v-if="hands.length < MOST" @click="hands.push(blank())">Add a person</plain-btn>
      <plain-btn @click="emit('close')">Cancel</plain-btn>
    </p>
  </form>
</template>

<style scoped>
.hours {
  display: grid;
  gap: 12px;
  padding: 16px 24px;
  background: var(--surface);
  border: 1px solid var(--line);
  border-radius: var(--round);
}
.hand {
  display: flex;
  flex-wrap: wrap;
  gap: 8px 16px;
  align-items: start;
  padding-bottom: 8px;
  border-bottom: 1px solid var(--line);
}
.name {
  flex: 1 1 150px;
}
.usual {
  flex: 3 1 400px;
}
.changed {
  flex: 3 1 400px;
}
.lathes {
  flex: 1 1 200px;
}
.pick {
  color: var(--lagoon);
  text-decoration: underline 1px;
  text-underline-offset: 4px;
  cursor: pointer;
}
.calendar:focus-within {
  outline: 3px solid var(--lagoon);
  outline-offset: 2px;
  border-radius: var(--tight);
}
.calendar,
.hand > .plain {
  align-self: center;
}
.acts {
  display: flex;
  flex-wrap: wrap;
  gap: 8px 16px;
  align-items: center;
}
</style>
