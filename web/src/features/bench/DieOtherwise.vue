<script setup lang="ts">
import { ref } from 'vue'

import DieOdds from '@/features/bench/DieOdds.vue'
import type { BenchNow } from '@/features/bench/projected'
import type { FieldError } from '@/shared/api/client'
import InlineField from '@/shared/controls/InlineField.vue'

/** What else there is to say of a die before it runs: that it was set on a known screw, or what came to it. */
defineProps<{ bench: BenchNow; busy: boolean; error?: FieldError }>()
const emit = defineEmits<{ on: [string]; since: ['seated' | 'honed'] }>()
const screw = ref('')
</script>

<template>
  <div v-if="bench.preset" class="otherwise">
    <DieOdds
      :odds="bench.preset.odds"
      :expected="bench.preset.expected"
      :over="bench.preset.expected_words"
    />
    <div v-if="bench.preset.grips" class="line">
      <InlineField
        v-model="screw"
        label="Known screw"
        before="Open it until it runs freely onto"
        after=", then close it until it just grips."
        placeholder="a known good screw"
        :error="error"
        @commit="screw.trim() && emit('on', screw)"
      />
      <v-btn variant="outlined" :disabled="busy" @click="emit('on', screw.trim() || 'a known good screw')"
        >It just grips</v-btn
      >
    </div>
    <div v-if="bench.preset.trials" class="line">
      <span>Since its last thread it was</span>
      <v-btn variant="outlined" :disabled="busy" @click="emit('since', 'seated')"
        >put into its holder again</v-btn
      >
      <v-btn variant="outlined" :disabled="busy" @click="emit('since', 'honed')"
        >honed, or given a new screw</v-btn
      >
    </div>
  </div>
</template>

<style scoped>
.otherwise {
  display: grid;
  gap: 8px;
}
.line {
  display: flex;
  flex-wrap: wrap;
  gap: 4px 12px;
  align-items: center;
}
</style>
