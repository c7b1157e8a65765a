<script setup lang="ts">
import { computed } from 'vue'
import { NuxtLink } from '#components'
import { formatMeter } from '~~/core/units'
import type { MachineResponse, VisitSummary } from '~~/shared/machines'
import { shopDayWords } from '../../utils/shop-day'
import { named, t } from '../../words'
import LogRule from './LogRule.vue'

/** The machine's visits, newest first, with what else happened to it between. */
const props = defineProps<{ seen: MachineResponse; timeZone: string }>()
const day = (iso: string) => shopDayWords(iso, props.timeZone)
const points = (v: VisitSummary) =>
  v.ofEngineBefore
    ? []
    : props.seen.valves.flatMap(valve =>
        valve.points
          .filter(p => p.visit === v.key && (p.asFound ?? p.asLeft))
          .map(point => ({ point, name: named(valve.name), id: valve.valveId })),
      )
const KINDS = {
  owner: t('common.owner'),
  engine: t('common.engine'),
  meter: t('common.meter'),
  merged: t('visit-log.merged'),
}
type Entry = { at: string; visit: VisitSummary } | { at: string; record: MachineResponse['records'][number] }
const entries = computed((): Entry[] =>
  [
    ...props.seen.visits.map(visit => ({ at: visit.at, visit })),
    ...props.seen.records.map(record => ({ at: record.at, record })),
    // two of one moment stay in the order in which the shop gives them
  ].sort((a, b) => b.at.localeCompare(a.at)),
)
</script>

<template>
  <section class="log" :aria-label="t('visit-log.visits')">
    <p v-if="entries.length === 0" class="none">
      {{ t('visit-log.no-visits-yet-what-each') }}
    </p>
    <template v-for="(e, i) in entries" :key="i">
      <component
        :is="e.visit.jobId ? NuxtLink : 'div'"
        v-if="'visit' in e"
        class="visit"
        :to="e.visit.jobId ? `/jobs/${e.visit.jobId}/sheet` : undefined"
        :data-visit="e.visit.key"
      >
        <b>{{ day(e.visit.at) }}</b><span>{{
          e.visit.number === null ? t('common.from-paper') : t('visit-log.job', { number: e.visit.number })
        }}</span>
        <p class="met">
          {{
            e.visit.meter === null ? t('common.meter-not-read') : formatMeter(e.visit.meter, seen.machine.meterUnit)
          }},
          {{ e.visit.person }}
        </p>
        <ul v-if="points(e.visit).length">
          <LogRule v-for="p in points(e.visit)" :key="p.id" :point="p.point" :name="p.name" />
        </ul>
        <p class="words">{{ e.visit.ofEngineBefore ? t('visit-log.the-engine-before') : '' }}{{ e.visit.words }}</p>
      </component>
      <div v-else class="visit record" :data-record="e.record.kind">
        <b>{{ day(e.record.at) }}</b><span>{{ KINDS[e.record.kind] }}</span>
        <p class="met">{{ e.record.words }}</p>
        <p class="words">{{ e.record.person }}</p>
      </div>
    </template>
    <p v-if="entries.length" class="key-words">{{ t('visit-log.bar-above-as-found-below') }}</p>
  </section>
</template>

<style scoped>
.log {
  grid-column: 1 / -1;
  display: grid;
  grid-template-columns: repeat(auto-fill, minmax(256px, 1fr));
  border-top: 1.5px solid var(--ink);
  background: var(--sunk);
  align-content: start;
}
.none,
.key-words {
  grid-column: 1 / -1;
  padding: 12px 20px;
  font-size: 15px;
  color: var(--ink2);
}
.visit {
  padding: 12px 18px 14px;
  border-right: 1px solid var(--line);
  border-bottom: 1px solid var(--line);
  color: var(--ink);
  text-decoration: none;
  display: grid;
  grid-template-columns: 1fr auto;
  gap: 3px 10px;
  align-content: start;
  min-height: 150px;
}
.visit:first-child {
  background: var(--sheet);
  box-shadow: inset 0 5px 0 var(--petrol);
}
.visit b {
  font: 600 18px/1.2 var(--figures);
}
.visit > span {
  font: 500 15px/1.3 var(--figures);
  color: var(--ink2);
}
.visit p {
  grid-column: 1 / -1;
  font-size: 15.5px;
  line-height: 1.3;
  color: var(--ink2);
}
.visit .met {
  font: 500 16px/1.3 var(--figures);
}
ul {
  grid-column: 1 / -1;
  list-style: none;
  display: grid;
  grid-template-columns: repeat(auto-fill, 51px);
  gap: 8px 4px;
  margin: 0;
  padding: 6px 0 4px;
}
a.visit:hover b {
  text-decoration: underline;
}
.record {
  background: transparent;
}
</style>
