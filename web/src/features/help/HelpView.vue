<script setup lang="ts">
import { computed, ref } from 'vue'

import IdeaPicture from '@/features/help/IdeaPicture.vue'
import { IDEAS } from '@/features/help/ideas'
import { asProblem } from '@/shared/api/client'
import { useWords } from '@/shared/api/useWords'

/** The five ideas behind every figure, the words of the trade, and how a tablet keeps the page. */
const { words, error } = useWords()
const sought = ref('')
const found = computed(() => {
  const part = sought.value.trim().toLowerCase()
  return (words.value ?? []).filter((one) =>
    `${one.word} ${one.also} ${one.meaning}`.toLowerCase().includes(part),
  )
})
</script>

<template>
  <div class="help">
    <h1>Help</h1>
    <section class="ideas" aria-label="Five ideas">
      <article v-for="idea in IDEAS" :key="idea.code">
        <IdeaPicture :code="idea.code" />
        <div>
          <h2>{{ idea.title }}</h2>
          <p v-for="says in idea.says" :key="says">{{ says }}</p>
        </div>
      </article>
    </section>
    <section aria-label="Words">
      <h2>Words</h2>
      <v-text-field
        v-model="sought"
        class="seek"
        label="Find a word"
        placeholder="e.g. kerf, play, wires"
        autocomplete="off"
      />
      <p v-if="error" class="field-error" role="alert">{{ asProblem(error).message }}</p>
      <dl>
        <div v-for="one in found" :key="one.word">
          <dt>
            {{ one.word }} <span v-if="one.also" class="muted">also {{ one.also }}</span>
          </dt>
          <dd>{{ one.meaning }}</dd>
        </div>
      </dl>
      <p v-if="words && !found.length" class="muted">No such word here.</p>
    </section>
    <section aria-label="Your own certificate">
      <h2>A tablet that keeps the page and its screen on</h2>
      <p>
        Browsers keep a page on the device, and keep its screen on, only over an encrypted connection. On the
        computer that runs Conch this is so without more. For a tablet, make a certificate of your own once:
      </p>
      <ol>
        <li>
          Make a key and a certificate for the name that the tablet uses for this computer. The README shows
          the command. The name must be in the certificate as an alternative name (SAN).
        </li>
        <li>Start Conch with <code>--lan --certificate FILE --key FILE</code>.</li>
        <li>
          Install the certificate on the tablet as one that you trust. Its settings call this a user
          certificate.
        </li>
        <li>Open the address on the tablet and connect it. Then choose “Install” or “Add to home screen”.</li>
      </ol>
    </section>
  </div>
</template>

<style scoped>
.help {
  display: grid;
  grid-template-columns: minmax(0, 1fr);
  gap: 24px;
  max-width: 1240px;
}
.ideas {
  display: grid;
  gap: 16px 48px;
  grid-template-columns: repeat(auto-fit, minmax(min(520px, 100%), 1fr));
}
article {
  display: grid;
  grid-template-columns: minmax(0, 240px) minmax(0, 1fr);
  gap: 16px;
  align-items: start;
}
article p {
  margin-top: 4px;
}
.seek {
  max-width: 380px;
  margin: 8px 0 12px;
}
dl {
  columns: 2 340px;
  column-gap: 48px;
}
dl > div {
  break-inside: avoid;
  padding: 4px 0;
  border-bottom: 1px solid var(--line);
}
dt {
  font-weight: 700;
}
dt .muted {
  font-weight: 400;
}
ol {
  list-style: decimal;
  padding-left: 24px;
  display: grid;
  gap: 4px;
  margin: 8px 0;
  max-width: 72ch;
}
section > p {
  max-width: 72ch;
}
@media (max-width: 600px) {
  article {
    grid-template-columns: minmax(0, 1fr);
  }
}
</style>
