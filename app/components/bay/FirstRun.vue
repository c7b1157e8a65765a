<script setup lang="ts">
import { NuxtLink } from '#components'
import { t } from '../../words'

/** A shop without jobs: the quickest way to the first blade, and what a job on record needs, ticked off. */
defineProps<{ has: { set: boolean; model: boolean; machine: boolean } | null }>()
const STEPS = [
  { of: 'set', to: '/shelf', name: t('common.add-a-blade-set') },
  { of: 'model', to: '/spec-book/new', name: t('common.add-a-model') },
  { of: 'machine', to: '/jobs/new', name: t('page-bay.open-a-job') },
] as const
</script>

<template>
  <div class="first">
    <h2>{{ t('page-bay.no-jobs-yet') }}</h2>
    <NuxtLink class="go" to="/quick"
      ><b>{{ t('quick.title') }}</b
      ><span>{{ t('first-run.first-blade-in-a-minute') }}</span></NuxtLink
    >
    <p>{{ t('page-bay.a-job-needs-a-blade') }}</p>
    <ul>
      <li v-for="s in STEPS" :key="s.of" :class="{ done: has?.[s.of] }">
        <i aria-hidden="true">{{ has?.[s.of] ? '✓' : '' }}</i><NuxtLink :to="s.to">{{ s.name }}</NuxtLink
        ><span v-if="has?.[s.of]" class="hidden-words">{{ t('list-stage.done') }}</span>
      </li>
    </ul>
    <p>
      <NuxtLink to="/practice">{{ t('first-run.two-minutes-of-practice') }}</NuxtLink>
    </p>
  </div>
</template>

<style scoped>
.first {
  padding: 32px 20px;
  display: grid;
  gap: 16px;
  max-width: 62ch;
  align-content: start;
}
h2 {
  font-size: 22px;
}
.go {
  display: grid;
  gap: 2px;
  padding: 16px 18px;
  border-radius: 8px;
  background: var(--petrol);
  color: var(--on-petrol);
  text-decoration: none;
}
.go b {
  font: 600 24px/1.2 var(--figures);
}
ul {
  list-style: none;
  margin: 0;
  padding: 0;
}
li {
  display: grid;
  grid-template-columns: 26px 1fr;
  gap: 12px;
  align-items: center;
  min-height: 48px;
  border-bottom: 1px solid var(--line);
  font: 600 18px/1.25 var(--figures);
}
li i {
  width: 24px;
  height: 24px;
  border: 1.8px solid var(--ink2);
  border-radius: 4px;
  font: 700 20px/20px var(--figures);
  text-align: center;
}
li.done i {
  background: var(--petrol);
  border-color: var(--petrol);
  color: var(--on-petrol);
}
li a,
p a {
  color: var(--ink);
  padding: 10px 0;
}
</style>
