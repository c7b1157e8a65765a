<script setup lang="ts">
import { NuxtLink } from '#components'
import { computed } from 'vue'
import { fahrenheit } from '~~/core/units'
import type { BayCard } from '~~/shared/responses'
import VerdictShape from '../bench/VerdictShape.vue'
import { VERDICT_WORDS } from '../bench/verdict-words'

/** A job on the board: which machine, what was measured so far, and the one next thing. */
const props = defineProps<{ card: BayCard }>()
const measured = computed(() => props.card.valves.some(v => v.verdict !== 'not measured'))
const to = computed(() => props.card.status === 'closed' ? `/jobs/${props.card.jobId}/sheet` : `/jobs/${props.card.jobId}`)
const x = (mm: number, top: number) => Math.min(1.05, mm / top) * 46
const top = (v: BayCard['valves'][number]) => Math.max(v.maxMm * 1.6, (v.hiMm ?? v.loMm) * 1.15)
/** “Intake in, exhaust tight”; of many valves how many of each. */
const verdicts = computed(() => {
  const said = props.card.valves.map(v => ({ name: v.name.toLowerCase(), verdict: VERDICT_WORDS[v.verdict].toLowerCase() }))
  if (said.length <= 2) return said.map(v => `${v.name} ${v.verdict}`).join(', ')
  return [...new Set(said.map(v => v.verdict))].map(verdict => `${said.filter(v => v.verdict === verdict).length} ${verdict}`).join(', ')
})
const about = computed(() => [props.card.kind, props.card.owner, ...props.card.people.slice(0, 2)].filter(Boolean).join(', '))
const warm = computed(() => props.card.temperature && props.card.temperature.celsius > props.card.temperature.limitC ? props.card.temperature : null)
</script>

<template>
  <NuxtLink :to="to" class="card" :data-job="card.jobId" :data-column="card.column">
    <h3>{{ card.machine }}</h3>
    <p class="about">{{ about }}</p>
    <p v-if="warm" class="line">{{ warm.celsius }} °C ({{ Math.round(fahrenheit(warm.celsius)) }} °F), limit {{ warm.limitC }} °C</p>
    <p v-else-if="!measured && card.rested" class="line">{{ card.rested }}. {{ card.complaint }}</p>
    <p v-else-if="!measured" class="line">{{ card.complaint }}</p>
    <ul v-if="measured" class="valves">
      <li v-for="v in card.valves" :key="v.name">
        <svg width="48" height="26" viewBox="0 0 48 26" aria-hidden="true">
          <rect x=".75" y=".75" width="46.5" height="24.5" fill="var(--white)" stroke="var(--ink)" stroke-width="1.5" />
          <rect :x="1 + x(v.minMm, top(v))" y="1.5" :width="Math.max(2, x(v.maxMm, top(v)) - x(v.minMm, top(v)))" height="23" fill="var(--petrol-tint)" />
          <rect v-if="v.verdict !== 'not measured'" :x="1 + x(v.loMm, top(v))" y="8" :width="Math.max(4, x(v.hiMm ?? 9, top(v)) - x(v.loMm, top(v)))" height="10" :fill="v.verdict === 'tight' ? 'var(--tight)' : v.verdict === 'loose' ? 'var(--loose-fill)' : v.verdict === 'in' ? 'var(--petrol)' : 'var(--hatch)'" />
        </svg>
        <VerdictShape :verdict="v.verdict" :size="20" />
        <span class="hidden-words">{{ v.name }}: {{ VERDICT_WORDS[v.verdict] }}</span>
      </li>
    </ul>
    <p v-if="measured" class="line">{{ verdicts }}</p>
    <p v-if="card.statusReason" class="line"><b>{{ card.status === 'held' ? 'On hold' : card.status }}:</b> {{ card.statusReason }}</p>
    <p class="next"><span>{{ card.next }}</span><span aria-hidden="true">→</span></p>
  </NuxtLink>
</template>

<style scoped>
.card { display: block; border-top: 3px solid var(--ink); padding: 10px 0 26px; text-decoration: none; color: var(--ink); }
h3 { font-size: 22px; line-height: 1.15; overflow-wrap: anywhere; } .about { font-size: 15.5px; color: var(--ink2); } .line { font-size: 15.5px; padding-top: 10px; line-height: 1.3; overflow-wrap: anywhere; } .line::first-letter { text-transform: uppercase; }
.valves { display: flex; flex-wrap: wrap; gap: 8px 6px; list-style: none; padding: 14px 0 0; margin: 0; } .valves li { display: grid; justify-items: center; gap: 5px; }
.next { display: flex; justify-content: space-between; gap: 10px; padding-top: 12px; color: var(--petrol); font: 600 18px/1.2 var(--figures); } .card:hover .next span:first-child { text-decoration: underline; }
</style>
