<script setup lang="ts">
import type { Clash } from '@/features/plan/merge'

/** What was changed here and on another device, side by side: each is settled by a press. */
defineProps<{ clashes: Clash[] }>()
const emit = defineEmits<{ settle: [clash: Clash, mine: boolean] }>()
const words = (value: unknown, whole: string) =>
  typeof value === 'object' && value !== null ? whole : String(value ?? '') || 'nothing'
</script>

<template>
  <section v-if="clashes.length" class="clashes" aria-label="Changed on another device too">
    <p role="alert">
      <strong>≠ Changed on another device too.</strong> Nothing is lost: take one of the two.
    </p>
    <table>
      <thead>
        <tr>
          <th scope="col"><span class="sr">What</span></th>
          <th scope="col">yours</th>
          <th scope="col">there</th>
        </tr>
      </thead>
      <tbody>
        <tr v-for="clash in clashes" :key="clash.path">
          <th scope="row">{{ clash.name }}</th>
          <td>
            <v-btn
              variant="outlined"
              :aria-label="`Keep yours, ${clash.name}`"
              @click="emit('settle', clash, true)"
              >{{ words(clash.mine, 'as you have it') }}</v-btn
            >
          </td>
          <td>
            <v-btn
              variant="outlined"
              :aria-label="`Take theirs, ${clash.name}`"
              @click="emit('settle', clash, false)"
              >{{ words(clash.theirs, 'as it is there') }}</v-btn
            >
          </td>
        </tr>
      </tbody>
    </table>
  </section>
</template>

<style scoped>
table {
  justify-self: start;
}
.clashes {
  border-left: 5px solid var(--lagoon);
  background: var(--quiet);
  border-radius: 0 var(--round) var(--round) 0;
  padding: 8px 14px;
  display: grid;
  gap: 8px;
}
th {
  text-align: left;
  padding: 4px 18px 4px 0;
  font-weight: 400;
}
thead th {
  color: var(--muted);
  font-size: var(--s14);
}
td {
  padding: 4px 12px 4px 0;
}
</style>
