<script setup lang="ts">
import { computed, ref } from 'vue'
import { useRouter } from 'vue-router'

import CandidateRow from '@/features/identify/CandidateRow.vue'
import EvidenceForm from '@/features/identify/EvidenceForm.vue'
import PriorShares from '@/features/identify/PriorShares.vue'
import WaitingSign from '@/shared/controls/WaitingSign.vue'
import SheetDrawing from '@/shared/drawing/SheetDrawing.vue'
import { useIdentify } from '@/features/identify/useIdentify'

/** Evidence on the left, the next question in front, candidates moving as one types. */
const { evidence, owned, shares, found, problem, said, forget } = useIdentify()
const router = useRouter()
const opened = ref('')
const errors = computed(() => problem.value?.errors ?? [])
/** Trouble that no field shows. */
const trouble = computed(() => (problem.value && !errors.value.length ? problem.value.message : ''))
const question = computed(() => found.value?.next.question ?? null)
const shown = computed(() => found.value?.candidates.filter((c, n) => n < 3 || c.probability >= 0.001) ?? [])
const measured = computed(() => shown.value.some((c) => c.reasons.length))
const isOpen = (name: string, n: number) => (opened.value ? opened.value === name : n === 0 && measured.value)
const toggle = (name: string, n: number) => (opened.value = isOpen(name, n) ? '-' : name)

async function take(designation: string, probability: number) {
  const identified = JSON.stringify({ evidence: said(), probability })
  await router.push({ name: 'start', query: { thread: designation, identified } })
}
</script>

<template>
  <div class="identify">
    <aside>
      <header class="head">
        <h1>Identify a thread</h1>
        <plain-btn @click="forget">Clear all</plain-btn>
      </header>
      <EvidenceForm
        :evidence="evidence"
        :owned="owned"
        :errors="errors"
        :asked="question?.ask"
        @change="(field, value) => (evidence[field] = value)"
        @own="(now) => (owned = now)"
      />
    </aside>
    <WaitingSign v-if="!found" what="the candidates" />
    <section v-if="found" class="answer" aria-live="polite">
      <p v-if="trouble" class="field-error" role="alert">{{ trouble }}</p>
      <p v-for="remark in found.remarks" :key="remark" class="note">◆ {{ remark }}</p>
      <div class="next" :class="{ settled: found.settled }" role="region" aria-label="Next">
        <p class="small">{{ found.settled ? '✓ Identified' : question ? 'Measure next' : 'Next' }}</p>
        <p class="sentence">{{ found.next.sentence }}</p>
        <p v-if="question && question.how !== found.next.sentence">{{ question.how }}</p>
        <ul v-if="question" class="meanings">
          <li v-for="told in question.meanings" :key="told">{{ told }}</li>
        </ul>
      </div>
      <div v-if="found.none_of_these > 0.5" class="none">
        <h2>No standard thread matches</h2>
        <p v-if="found.specials.length">
          Possible special thread:
          <router-link
            v-for="name in found.specials"
            :key="name"
            class="fig special"
            :to="{ name: 'threads', query: { q: name } }"
            >{{ name }}</router-link
          >
        </p>
      </div>
      <ol v-else-if="measured" class="candidates" aria-label="Candidates">
        <CandidateRow
          v-for="(c, n) in shown"
          :key="c.designation"
          :candidate="c"
          :first="n === 0"
          :open="isOpen(c.designation, n)"
          @toggle="toggle(c.designation, n)"
          @take="take(c.designation, c.probability)"
        />
      </ol>
      <div v-if="measured && found.mistake" class="lookalike">
        <h2>If you mix them up</h2>
        <p>{{ found.mistake }}</p>
        <SheetDrawing v-if="found.lookalike" told :sheet="found.lookalike.drawing" />
      </div>
      <figure v-if="found.measures" class="measures">
        <SheetDrawing :sheet="found.measures" />
      </figure>
      <PriorShares
        :priors="found.priors"
        :shares="shares"
        :errors="errors"
        @change="(series, share) => (shares[series] = share)"
      />
    </section>
  </div>
</template>

<style scoped>
.identify {
  display: grid;
  grid-template-columns: 320px minmax(0, 1fr);
  gap: 24px 32px;
}
aside,
.answer {
  display: grid;
  gap: 16px;
  align-content: start;
}
.head {
  display: flex;
  flex-wrap: wrap;
  gap: 4px 16px;
  align-items: baseline;
}
.next {
  border-left: 6px solid var(--coral);
  background: var(--surface);
  border-radius: 0 var(--round) var(--round) 0;
  padding: 12px 24px;
  display: grid;
  gap: 4px;
}
.next.settled {
  border-left-color: var(--good);
}
.sentence {
  font-size: var(--s28);
  font-weight: 700;
  line-height: 1.25;
}
.meanings {
  display: flex;
  flex-wrap: wrap;
  gap: 4px 32px;
}
.meanings li::before {
  content: '→ ';
  color: var(--muted);
}
.measures {
  margin: 0;
  max-width: 760px;
  background: var(--surface);
  border: 1px solid var(--line);
  border-radius: var(--round);
  padding: 12px;
}
.special {
  margin-right: 16px;
}
.none,
.lookalike {
  display: grid;
  gap: 8px;
}
h2 {
  font-size: var(--s20);
}
@media (max-width: 900px) {
  .identify {
    grid-template-columns: 260px minmax(0, 1fr);
    gap: 16px;
  }
  .sentence {
    font-size: var(--s20);
  }
}
/* On a phone the next question stands first, then what it is typed into, then what it may be. */
@media (max-width: 700px) {
  .identify {
    grid-template-columns: minmax(0, 1fr);
  }
  .answer {
    display: contents;
  }
  .next {
    order: -1;
  }
}
</style>
