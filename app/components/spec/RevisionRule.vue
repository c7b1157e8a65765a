<script setup lang="ts">
import { computed } from 'vue'
import { DAY_MS } from '~~/core/units'
import type { RevisionRow } from '~~/shared/spec-book'
import { LOCALE } from '../../language'
import { t } from '../../words'
import { REVISION_STATES, revisionState } from './revision-words'

/**
 * The revisions of a model on a rule of years; the one in force fills it from its day on. Any may be chosen to read.
 */
const props = defineProps<{
  revisions: RevisionRow[]
  inForceId: number
  shownId: number
  now: string
  changes: Record<number, string>
}>()
defineEmits<{ show: [id: number] }>()
const at = (r: RevisionRow) => Date.parse(r.approvedAt ?? r.createdAt)
const to = computed(() => Date.parse(props.now) + 60 * DAY_MS)
const from = computed(() => {
  const first = new Date(Math.min(...props.revisions.map(at)))
  return Date.UTC(first.getUTCFullYear(), 0, 1) - (first.getUTCMonth() < 2 ? 200 * DAY_MS : 0)
})
const left = (ms: number) => `${Math.min(100, Math.max(0, ((ms - from.value) / (to.value - from.value)) * 100))}%`
const years = computed(() =>
  Array.from({ length: 40 }, (_, i) => new Date(from.value).getUTCFullYear() + i).filter(
    y => Date.UTC(y, 0, 1) >= from.value && Date.UTC(y, 0, 1) < to.value - (to.value - from.value) * 0.04,
  ),
)
const day = (iso: string) =>
  new Intl.DateTimeFormat(LOCALE, { day: 'numeric', month: 'short', year: 'numeric', timeZone: 'UTC' }).format(
    new Date(iso),
  )
const inForce = computed(() => props.revisions.find(r => r.id === props.inForceId))
const state = (r: RevisionRow) => revisionState(r, props.inForceId)
const isAssumed = computed(() => inForce.value?.approvedAt === null)
</script>

<template>
  <section class="revisions" :aria-label="t('revision-rule.revisions')">
    <p class="head">
      <b>{{ t('revision-rule.revisions') }}</b> {{ t('revision-rule.a-job-keeps-the-one') }}
    </p>
    <div class="years" aria-hidden="true">
      <span v-if="inForce && !isAssumed" class="force" :style="{ left: left(at(inForce)), right: 0 }" />
      <span v-for="y in years" :key="y" class="year" :style="{ left: left(Date.UTC(y, 0, 1)) }">{{ y }}</span>
      <span
        v-for="r in revisions"
        :key="r.id"
        class="pin"
        :class="{ on: r.id === inForceId }"
        :style="{ left: left(at(r)) }"
      />
      <span class="today" :style="{ left: left(Date.parse(now)) }"
        ><i>{{ t('common.today') }}</i></span
      >
    </div>
    <ol>
      <li v-for="r in revisions" :key="r.id">
        <button
          type="button"
          class="rev"
          :class="{ shown: r.id === shownId }"
          :aria-pressed="r.id === shownId"
          :data-revision="r.revision"
          @click="$emit('show', r.id)"
        >
          <b
            ><span v-if="state(r) === 'in force'" class="tick" aria-hidden="true">✓</span
            >{{ r.approvedAt ? t('common.revision') : t('common.draft') }} {{ r.revision }},
            {{ REVISION_STATES[state(r)] }}</b
          >
          <span>{{ r.source }}, {{ r.sourceDate }}</span
          ><span>{{ changes[r.id] || r.reason }}</span
          ><span
            >{{ day(r.createdAt) }}, {{ r.author
            }}{{
              r.approvedBy && r.approvedBy !== r.author
                ? t('revision-rule.approved-by', { approvedBy: r.approvedBy })
                : ''
            }}. {{ t('revision-rule.jobs', { jobs: r.jobs }) }}</span
          >
        </button>
      </li>
    </ol>
  </section>
</template>

<style scoped>
.revisions {
  background: var(--sunk);
  padding: 12px 20px 14px;
  font-family: var(--figures);
  border-top: 1.5px solid var(--ink);
}
.head {
  font-size: 15.5px;
  color: var(--ink2);
}
.head b {
  font-size: 19px;
  color: var(--ink);
  margin-right: 12px;
}
.years {
  position: relative;
  height: 30px;
  margin: 8px 0 10px;
  background: var(--white);
  border: 1.5px solid var(--ink);
}
.year {
  position: absolute;
  top: 0;
  height: 100%;
  border-left: 1.5px solid var(--ink);
  padding: 2px 5px;
  font-size: 14px;
  font-weight: 600;
}
.force {
  position: absolute;
  top: 0;
  bottom: 0;
  background: var(--petrol-tint);
}
.pin {
  position: absolute;
  bottom: -8px;
  width: 14px;
  height: 14px;
  border-radius: 50%;
  border: 2px solid var(--ink);
  background: var(--white);
  transform: translateX(-50%);
}
.pin.on {
  background: var(--petrol);
  border-color: var(--petrol);
}
.today {
  position: absolute;
  top: -5px;
  bottom: -5px;
  border-left: 4px solid var(--petrol);
}
.today i {
  position: absolute;
  right: 8px;
  top: 7px;
  font: 600 14px/1.2 var(--figures);
  color: var(--petrol);
  white-space: nowrap;
}
ol {
  list-style: none;
  margin: 0;
  padding: 0;
  display: grid;
  grid-auto-flow: column;
  grid-auto-columns: minmax(210px, 1fr);
  gap: 10px;
  overflow-x: auto;
}
.rev {
  display: grid;
  gap: 1px;
  width: 100%;
  text-align: left;
  background: none;
  border: 0;
  border-left: 2px solid var(--ink);
  padding: 2px 10px 4px;
  font: 500 14.5px/1.25 var(--figures);
  cursor: pointer;
  color: var(--ink2);
  min-height: 44px;
  align-content: start;
}
.rev b {
  font-size: 17px;
  color: var(--ink);
}
.rev.shown {
  background: var(--sheet);
  border-left: 5px solid var(--petrol);
}
.tick {
  display: inline-grid;
  place-items: center;
  width: 18px;
  height: 18px;
  border-radius: 50%;
  background: var(--petrol);
  color: var(--on-petrol);
  font-size: 14px;
  margin-right: 6px;
}
@media (max-width: 700px) {
  .today i {
    display: none;
  }
}
</style>
