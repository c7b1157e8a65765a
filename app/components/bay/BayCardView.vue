<script setup lang="ts">
import { computed } from 'vue'
import { NuxtLink } from '#components'
import { complaintWords } from '~~/core/job'
import { fahrenheit } from '~~/core/units'
import type { BayCard } from '~~/shared/board'
import { named, t, tell } from '../../words'
import { VERDICT_WORDS } from '../bench/verdict-words'
import VerdictShape from '../bench/VerdictShape.vue'
import CardTasks from './CardTasks.vue'
import CoolingCurve from './CoolingCurve.vue'

/**
 * A job on the board: which machine, what was measured so far, when it is cold, what else it is for, and the one next
 * thing.
 */
const props = defineProps<{
  card: BayCard
  nowMs: number
  clock: (atMs: number) => string
  moving: boolean
  keepable: boolean
}>()
defineEmits<{ move: []; changed: [] }>()
const measured = computed(() => props.card.valves.some(v => v.verdict !== 'not measured'))
const to = computed(() =>
  props.card.status === 'closed' ? `/jobs/${props.card.jobId}/sheet` : `/jobs/${props.card.jobId}`,
)
const x = (mm: number, top: number) => Math.min(1.05, mm / top) * 46
const top = (v: BayCard['valves'][number]) => Math.max(v.maxMm * 1.6, (v.hiMm ?? v.loMm) * 1.15)
/** “Intake in, exhaust tight”; of many valves how many of each. */
const verdicts = computed(() => {
  const said = props.card.valves.map(v => ({
    name: named(v.name).toLowerCase(),
    verdict: VERDICT_WORDS[v.verdict].toLowerCase(),
  }))
  if (said.length <= 2) return said.map(v => `${v.name} ${v.verdict}`).join(', ')
  return [...new Set(said.map(v => v.verdict))]
    .map(verdict => `${said.filter(v => v.verdict === verdict).length} ${verdict}`)
    .join(', ')
})
const about = computed(() => [props.card.kind, props.card.owner].filter(Boolean).join(', '))
const cameFor = computed(() => tell(complaintWords(props.card)))
const cooling = computed(() => (props.card.column === 'done' ? null : props.card.cooling))
const ready = computed(() => cooling.value?.ready ?? null)
/** Whether the clock says that it is cold by now: then a look at the thermometer settles it. */
const coldByNow = computed(() => ready.value?.kind === 'at' && ready.value.atMs <= props.nowMs)
const next = computed(() => {
  const c = cooling.value
  if (!c || !props.card.temperature) return props.card.next
  if (c.ready.kind === 'air too warm') return t('bay-card-view.air-c-leave-it-overnight', { airC: c.airC })
  return coldByNow.value
    ? t('bay-card-view.should-be-cold-read-the')
    : t('bay-card-view.c-cold-about', { celsius: props.card.temperature.celsius, atMs: props.clock(c.ready.atMs) })
})
const turn = computed(() => {
  const { turn, assigned } = props.card
  if (!turn) return assigned?.name ?? ''
  const soon = turn.startMs - props.nowMs < 120_000
  return [
    assigned ? `${assigned.name}, ${t('bay-card-view.nth', { n: turn.n })}` : t('common.unassigned'),
    soon ? '' : props.clock(turn.startMs),
    turn.why,
  ]
    .filter(Boolean)
    .join(', ')
})
</script>

<template>
  <article class="card" :data-job="card.jobId" :data-column="card.column" :data-person="card.assigned?.name ?? ''">
    <button
      v-if="card.column !== 'done'"
      type="button"
      class="grip"
      :aria-label="t('bay-card-view.move', { machine: card.machine })"
      :aria-expanded="moving"
      @click="$emit('move')"
    >
      <svg width="20" height="20" viewBox="0 0 20 20" aria-hidden="true">
        <path d="M 3 6 H 17 M 3 10 H 17 M 3 14 H 17" stroke="var(--edge)" stroke-width="2" />
      </svg>
    </button>
    <NuxtLink :to="to" class="body" draggable="false">
      <h3>{{ card.machine }}</h3>
      <p class="about">{{ about }}</p>
      <CoolingCurve v-if="cooling" :cooling="cooling" :now-ms="nowMs" :clock="clock" />
      <p v-else-if="!measured" class="line">
        {{ [card.rested, cameFor && t('bay-card-view.complaint', { complaint: cameFor })].filter(Boolean).join('; ') }}
      </p>
      <p v-if="cooling?.airAssumed" class="line small">
        {{ t('bay-card-view.air-assumed-c-f', { airC: cooling.airC, airF: Math.round(fahrenheit(cooling.airC)) }) }}
      </p>
      <ul v-if="measured" class="valves">
        <li v-for="v in card.valves" :key="v.name">
          <svg width="48" height="26" viewBox="0 0 48 26" aria-hidden="true">
            <rect
              x=".75"
              y=".75"
              width="46.5"
              height="24.5"
              fill="var(--white)"
              stroke="var(--ink)"
              stroke-width="1.5"
            />
            <rect
              :x="1 + x(v.minMm, top(v))"
              y="1.5"
              :width="Math.max(2, x(v.maxMm, top(v)) - x(v.minMm, top(v)))"
              height="23"
              fill="var(--petrol-tint)"
            />
            <rect
              v-if="v.verdict !== 'not measured'"
              :x="1 + x(v.loMm, top(v))"
              y="8"
              :width="Math.max(4, x(v.hiMm ?? 9, top(v)) - x(v.loMm, top(v)))"
              height="10"
              :fill="
                v.verdict === 'tight'
                  ? 'var(--tight)'
                  : v.verdict === 'loose'
                    ? 'var(--loose-fill)'
                    : v.verdict === 'in'
                      ? 'var(--petrol)'
                      : 'var(--hatch)'
              "
            />
          </svg>
          <VerdictShape :verdict="v.verdict" :size="20" />
          <span class="hidden-words">{{ named(v.name) }}: {{ VERDICT_WORDS[v.verdict] }}</span>
        </li>
      </ul>
      <p v-if="measured" class="line">{{ verdicts }}</p>
      <p v-if="card.statusReason" class="line">
        <b>{{ card.status === 'held' ? t('common.on-hold') : t('card.abandoned') }}:</b> {{ card.statusReason }}
      </p>
      <p v-if="turn" class="line small">{{ turn }}</p>
      <p class="next">
        <span>{{ next }}</span><span aria-hidden="true">→</span>
      </p>
    </NuxtLink>
    <NuxtLink v-if="keepable" class="keep" :to="`/jobs/${card.jobId}/keep`">{{ t('quick.keep-card') }}</NuxtLink>
    <CardTasks v-if="card.tasks.length" :tasks="card.tasks" @changed="$emit('changed')" />
    <slot v-if="moving" />
  </article>
</template>

<style scoped>
.card {
  position: relative;
  border-top: 3px solid var(--ink);
  padding: 10px 0 22px;
  background: inherit;
}
.body {
  display: block;
  text-decoration: none;
  color: var(--ink);
  -webkit-user-drag: none;
}
h3 {
  font-size: 22px;
  line-height: 1.15;
  overflow-wrap: anywhere;
  padding-right: 34px;
}
.about {
  font-size: 15.5px;
  color: var(--ink2);
}
.line {
  font-size: 15.5px;
  padding-top: 8px;
  line-height: 1.3;
  overflow-wrap: anywhere;
}
.line.small {
  color: var(--ink2);
  font-size: 15px;
}
.line::first-letter {
  text-transform: uppercase;
}
.grip {
  position: absolute;
  top: 0;
  right: -12px;
  width: 44px;
  height: 44px;
  display: grid;
  place-items: center;
  border: 0;
  background: transparent;
  cursor: grab;
  touch-action: none;
  border-radius: 8px;
}
.valves {
  display: flex;
  flex-wrap: wrap;
  gap: 8px 6px;
  list-style: none;
  padding: 12px 0 0;
  margin: 0;
}
.valves li {
  display: grid;
  justify-items: center;
  gap: 5px;
}
.keep {
  display: inline-flex;
  align-items: center;
  min-height: 44px;
  font: 600 16px/1.2 var(--figures);
  color: var(--ink2);
}
.next {
  display: flex;
  justify-content: space-between;
  gap: 10px;
  padding-top: 10px;
  color: var(--petrol);
  font: 600 18px/1.2 var(--figures);
}
.body:hover .next span:first-child {
  text-decoration: underline;
}
</style>
