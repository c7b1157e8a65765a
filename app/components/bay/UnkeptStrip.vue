<script setup lang="ts">
import { NuxtLink } from '#components'
import type { UnkeptJob } from '~~/shared/board'
import { LANGUAGE } from '../../language'
import type { Opening } from '../../local/database'
import { t } from '../../words'

/** Jobs that began here and have not reached the shop; and quick jobs of the last weeks that nobody has kept. */
defineProps<{ unkept: UnkeptJob[]; openings: Opening[] }>()
const day = (at: string) => new Date(at).toLocaleDateString(LANGUAGE, { day: 'numeric', month: 'short' })
</script>

<template>
  <section v-if="openings.length" class="unkept" :aria-label="t('quick.not-sent')">
    <h2>{{ t('quick.not-sent') }}</h2>
    <ul>
      <li v-for="o in openings" :key="o.jobId" :data-unkept="o.jobId">
        <NuxtLink :to="`/jobs/${o.jobId}`"
          ><b>{{ o.name }}</b></NuxtLink
        >
      </li>
    </ul>
  </section>
  <section v-if="unkept.length" class="unkept" :aria-label="t('quick.not-kept')">
    <h2>{{ t('quick.not-kept') }}</h2>
    <p class="note">{{ t('quick.not-kept-help') }}</p>
    <ul>
      <li v-for="u in unkept" :key="u.jobId" :data-unkept="u.jobId">
        <NuxtLink :to="u.status === 'closed' ? `/jobs/${u.jobId}/sheet` : `/jobs/${u.jobId}`"
          ><b>{{ u.machine }}</b>
          <small>{{ t('quick.number', { number: u.number, day: day(u.openedAt) }) }}</small></NuxtLink
        >
        <NuxtLink class="quiet keep" :to="`/jobs/${u.jobId}/keep`">{{ t('quick.keep') }}</NuxtLink>
      </li>
    </ul>
  </section>
</template>

<style scoped>
.unkept {
  padding: 14px 20px;
  border-top: 1.5px solid var(--ink);
}
h2 {
  font-size: 18px;
}
ul {
  list-style: none;
  margin: 8px 0 0;
  padding: 0;
  display: grid;
  grid-template-columns: repeat(auto-fill, minmax(min(100%, 380px), 1fr));
  gap: 8px 24px;
  max-height: 220px;
  overflow: auto;
}
li {
  display: flex;
  justify-content: space-between;
  align-items: center;
  gap: 12px;
  min-height: 48px;
  border-bottom: 1px solid var(--line);
}
li a:first-child {
  display: flex;
  flex-wrap: wrap;
  gap: 0 8px;
  color: var(--ink);
  overflow-wrap: anywhere;
  padding: 6px 0;
}
small {
  font-size: 15px;
  color: var(--ink2);
}
.keep {
  white-space: nowrap;
}
</style>
