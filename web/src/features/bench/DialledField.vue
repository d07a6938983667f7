<script setup lang="ts">
import { VTextField } from 'vuetify/components/VTextField'

import type { FieldError, Figure } from '@/shared/api/client'
import ChoiceList from '@/shared/controls/ChoiceList.vue'
import { useUnits } from '@/shared/figures/useUnits'

/** What was dialled, in the dial's own terms, where the person says so: from that alone the next cut learns. */
const dialled = defineModel<string>({ required: true })
defineProps<{ asked: Figure; error?: FieldError; pad: boolean }>()
const { told } = useUnits()
</script>

<template>
  <div class="dialled">
    <v-text-field
      v-model="dialled"
      class="fig"
      label="dialled"
      placeholder="optional"
      persistent-placeholder
      data-keys="empty"
      :inputmode="pad ? 'none' : 'decimal'"
      autocomplete="off"
      maxlength="60"
      :error="error !== undefined"
      :aria-invalid="error !== undefined"
    />
    <plain-btn @click="dialled = told(asked.shown).text">as shown</plain-btn>
    <ChoiceList v-if="error" compact :choices="error.choices" @take="dialled = $event" />
  </div>
</template>

<style scoped>
.dialled {
  display: flex;
  flex-wrap: wrap;
  gap: 8px;
  align-items: center;
}
.dialled button {
  min-height: 48px;
}
.dialled .fig {
  width: 160px;
}
/* A phone has reading and dial in one line: what was dialled as shown is not said again. */
@media (max-width: 600px) {
  .dialled {
    flex: 0 0 112px;
  }
  .dialled .fig {
    width: 112px;
  }
  .dialled .fig :deep(input) {
    padding-inline: 12px;
  }
  .dialled > .plain {
    display: none;
  }
}
</style>
