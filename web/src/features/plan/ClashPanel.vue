<script setup lang="ts">
import type { Clash } from '@/features/plan/merge'

/** What was changed here and on another device, side by side: each is settled by a press. */
defineProps<{ clashes: Clash[] }>()
const emit = defineEmits<{ settle: [clash: Clash, mine: boolean] }>()
const words = (value: unknown, whole: string) =>
  typeof value === 'object' && value !== null ? whole : String(value ?? '') || '(empty)'
</script>

<template>
  <section v-if="clashes.length" class="clashes" aria-label="Also changed on another device">
    <p role="alert"><strong>≠ This was also changed on another device.</strong> Choose which to keep.</p>
    <table>
      <thead>
        <tr>
          <th scope="col"><span class="sr">What</span></th>
          <th scope="col">on this device</th>
          <th scope="col">on the other device</th>
        </tr>
      </thead>
      <tbody>
        <tr v-for="clash in clashes" :key="clash.path">
          <th scope="row">{{ clash.name }}</th>
          <td>
            <v-btn
              variant="outlined"
              :aria-label="`Keep the value from this device: ${clash.name}`"
              @click="emit('settle', clash, true)"
              >{{ words(clash.mine, 'keep this one') }}</v-btn
            >
          </td>
          <td>
            <v-btn
              variant="outlined"
              :aria-label="`Keep the value from the other device: ${clash.name}`"
              @click="emit('settle', clash, false)"
              >{{ words(clash.theirs, 'keep that one') }}</v-btn
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
  padding: 8px 16px;
  display: grid;
  gap: 8px;
}
th {
  text-align: left;
  padding: 4px 16px 4px 0;
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
