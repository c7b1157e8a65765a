<script setup lang="ts">
import Button from 'primevue/button'
import Column from 'primevue/column'
import DataTable from 'primevue/datatable'
import { computed, ref } from 'vue'
import type { Grade, Mark, Marked, Replayed } from '~~/core/practice'
import { snapMm } from '~~/core/units'
import { named, t, tell } from '../../words'
import TruthOver from './TruthOver.vue'

/** The truth laid over what was believed, step by step: what was right, wrong, needless or dangerous. */
const props = defineProps<{ marked: Marked; steps: Replayed[] }>()
const all = ref(false)
const NAMES: Record<Grade, string> = {
  right: t('marks-view.right'),
  wrong: t('marks-view.wrong'),
  needless: t('marks-view.needless'),
  dangerous: t('marks-view.dangerous'),
}
const SHAPES: Record<Grade, string> = {
  right: 'M 3 10 L 8 15 L 17 4',
  wrong: 'M 4 4 L 16 16 M 16 4 L 4 16',
  needless: 'M 3 10 H 17',
  dangerous: 'M 10 2 L 19 18 H 1 Z M 10 8 V 12 M 10 14.6 V 15',
}
const shown = computed<Mark[]>(() => props.marked.marks.filter(m => all.value || m.grade !== 'right'))
/** The step shown, at first the first that went wrong; one for each thing that was said or done to a gap. */
const stepOf = (act: number): number => props.steps.findIndex(s => s.act === act)
const at = ref(Math.max(0, stepOf(props.marked.marks.find(m => m.grade !== 'right' && m.act !== null)?.act ?? -1)))
const over = ref<InstanceType<typeof TruthOver> | null>(null)
defineExpose({ go: (by: number) => over.value?.go(by) })
type Left = Marked['valves'][number]
const rowOf = ({ context }: { context: { index: number } }) => {
  const valve = props.marked.valves[context.index]
  return { 'data-left': valve?.valveId, 'data-in': valve?.inSpec }
}
const mm = (value: number) => `${snapMm(value).toFixed(2)} mm`
</script>

<template>
  <section class="marks" :aria-label="t('marks-view.marks')">
    <TruthOver v-if="steps.length" ref="over" v-model="at" :steps="steps" />
    <header>
      <h2>
        {{
          shown.some(m => m.grade !== 'right')
            ? t('marks-view.where-it-went-wrong')
            : t('marks-view.nothing-went-wrong')
        }}
      </h2>
      <Button severity="secondary" outlined @click="all = !all">
        {{ all ? t('marks-view.only-what-was-wrong') : t('marks-view.all-steps') }}
      </Button>
    </header>
    <ol v-if="shown.length">
      <li
        v-for="(m, i) in shown"
        :key="i"
        :class="[`is-${m.grade}`, { here: m.act !== null && m.act === steps[at]?.act }]"
        :data-grade="m.grade"
      >
        <svg width="20" height="20" viewBox="0 0 20 20" aria-hidden="true">
          <path
            :d="SHAPES[m.grade]"
            fill="none"
            stroke="currentColor"
            stroke-width="2.4"
            stroke-linecap="round"
            stroke-linejoin="round"
          />
        </svg>
        <div>
          <p>
            <b>{{ NAMES[m.grade] }}</b> {{ tell(m.words) }}
          </p>
          <p class="truth">{{ tell(m.truth) }}</p>
        </div>
        <small v-if="m.act === null || stepOf(m.act) < 0">{{ t('marks-view.at-the-end') }}</small><Button
          v-else
          severity="secondary"
          outlined
          class="at"
          :aria-pressed="at === stepOf(m.act)"
          @click="at = stepOf(m.act)"
        >
          {{ t('marks-view.step', { stage: m.stage, act: stepOf(m.act) }) }}
        </Button>
      </li>
    </ol>
    <h2 v-if="marked.valves.length">{{ t('marks-view.how-the-engine-was-left') }}</h2>
    <DataTable
      v-if="marked.valves.length"
      class="few"
      :value="marked.valves"
      data-key="valveId"
      :pt="{ bodyRow: rowOf }"
    >
      <Column :header="t('common.valve')" body-class="figures">
        <template #body="{ data }: { data: Left }">{{ named(data.name) }}</template>
      </Column>
      <Column :header="t('common.truly')" body-class="figures">
        <template #body="{ data }: { data: Left }"
          >{{ mm(data.gapMm) }}, {{ data.inSpec ? t('marks-view.in') : t('marks-view.out') }}</template
        >
      </Column>
      <Column :header="t('marks-view.you-said')">
        <template #body="{ data }: { data: Left }">{{ tell(data.believed) }}</template>
      </Column>
      <Column :header="t('marks-view.what-it-does')">
        <template #body="{ data }: { data: Left }">{{ tell(data.effect) }}</template>
      </Column>
    </DataTable>
  </section>
</template>

<style scoped>
.marks {
  padding: 16px 20px;
  overflow: auto;
  height: 100%;
  display: grid;
  gap: 10px;
  align-content: start;
}
header {
  display: flex;
  justify-content: space-between;
  align-items: center;
  gap: 10px;
}
h2 {
  font-size: 22px;
}
ol {
  list-style: none;
  margin: 0;
  padding: 0;
}
li {
  display: grid;
  grid-template-columns: 20px 1fr auto;
  gap: 12px;
  padding: 8px 0;
  border-bottom: 1px solid var(--line);
  align-items: start;
}
li svg {
  margin-top: 3px;
}
li p {
  font-size: 16.5px;
  line-height: 1.3;
}
li b {
  font-family: var(--figures);
}
.truth {
  color: var(--ink2);
}
small {
  font-size: 14.5px;
  color: var(--ink3);
  white-space: nowrap;
}
li {
  padding-inline: 8px;
  margin-inline: -8px;
}
li.here {
  background: var(--sheet);
}
.at {
  min-height: 44px;
  white-space: nowrap;
  font-size: 15px;
}
.at[aria-pressed='true'] {
  border-color: var(--petrol);
  box-shadow: inset 0 -3px 0 var(--petrol);
}
li.is-dangerous {
  color: var(--tight);
}
.is-dangerous .truth {
  color: var(--tight);
}
.is-right svg {
  color: var(--petrol);
}
table {
  border-collapse: collapse;
  width: 100%;
}
th {
  text-align: left;
  font-size: 15px;
  color: var(--ink2);
  border-bottom: 1.5px solid var(--ink);
  padding: 6px 10px 6px 0;
}
td {
  padding: 8px 10px 8px 0;
  border-bottom: 1px solid var(--line);
  font-size: 16px;
  vertical-align: top;
}
.figures {
  font: 600 16px/1.3 var(--figures);
  white-space: nowrap;
}
</style>
