<script setup lang="ts">
import Button from 'primevue/button'
import type { Doubt } from '~~/core/spec-book'
import { t, tell } from '../../words'

/** Figures that may be slips: both readings, and a person says which is meant. Nothing is changed for them. */
const props = defineProps<{ doubts: Doubt[] }>()
const answered = defineModel<string[]>({ required: true })
const toggle = (id: string) => {
  answered.value = answered.value.includes(id) ? answered.value.filter(a => a !== id) : [...answered.value, id]
}
const left = () => props.doubts.filter(d => !answered.value.includes(d.id)).length
</script>

<template>
  <section v-if="doubts.length" class="doubts" :aria-label="t('doubt-list.possible-slips')" role="alert">
    <h2>
      <span class="bang" aria-hidden="true">!</span>
      {{
        left() === 0
          ? t('doubt-list.answered-as-printed')
          : left() === 1
            ? t('doubt-list.one-figure-may-be-a')
            : t('doubt-list.figures-may-be-slips', { left: left() })
      }}
    </h2>
    <p>
      {{ t('doubt-list.check-the-page-again-correct') }}
    </p>
    <div v-for="d in doubts" :key="d.id" class="doubt" :data-doubt="d.field">
      <p>{{ tell(d.says) }}</p>
      <p class="readings">
        <b>{{ tell(d.readings[0]) }}</b><span>{{ t('doubt-list.or') }}</span
        ><b>{{ tell(d.readings[1]) }}</b>
      </p>
      <Button severity="secondary" outlined :aria-pressed="answered.includes(d.id)" @click="toggle(d.id)">
        {{ answered.includes(d.id) ? t('doubt-list.as-printed') : t('common.its-printed-that-way') }}
      </Button>
    </div>
  </section>
</template>

<style scoped>
.doubts {
  border: 2px solid var(--ink);
  padding: 16px 18px;
  display: grid;
  gap: 12px;
  background: var(--white);
}
h2 {
  display: flex;
  gap: 10px;
  align-items: center;
}
.bang {
  display: inline-grid;
  place-items: center;
  width: 26px;
  height: 26px;
  border-radius: 50%;
  background: var(--ink);
  color: var(--white);
  font: 600 18px/1 var(--figures);
}
.doubt {
  display: grid;
  grid-template-columns: 1fr auto;
  gap: 6px 18px;
  align-items: center;
  border-top: 1px solid var(--line);
  padding-top: 12px;
}
.readings {
  grid-column: 1;
  display: flex;
  flex-wrap: wrap;
  gap: 10px;
  font: 500 17px/1.3 var(--figures);
}
.doubt button {
  grid-row: 1 / span 2;
  grid-column: 2;
}
button[aria-pressed='true'] {
  background: var(--petrol);
  color: var(--white);
  border-color: var(--petrol);
}
@media (max-width: 700px) {
  .doubt {
    grid-template-columns: 1fr;
  }
  .doubt button {
    grid-row: auto;
    grid-column: 1;
    justify-self: start;
  }
}
</style>
