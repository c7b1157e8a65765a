<script setup lang="ts">
import { useMutationObserver } from '@vueuse/core'
import { Chart, LinearScale, LineController, LineElement, PointElement } from 'chart.js'
import { computed, onMounted, onUnmounted, ref, useTemplateRef, watch } from 'vue'
import type { RunOverTime } from '~~/shared/practice'
import { LOCALE } from '../../language'
import { t } from '../../words'
import ChoiceField from '../forms/ChoiceField.vue'
import { peopleOf, progressOf, slipCounts } from './runs-over-time'

/** How somebody comes on: each run's points over time, and what goes wrong most. A lead chooses among the crew. */
const props = defineProps<{ runs: RunOverTime[]; ownId: number }>()
Chart.register(LineController, LineElement, PointElement, LinearScale)
const SHOWN = 40
const people = computed(() => peopleOf(props.runs))
const personId = ref<number | null>(props.ownId)
watch(
  people,
  all => {
    if (all.length && !all.some(p => p.id === personId.value)) personId.value = all[0]!.id
  },
  { immediate: true },
)
const own = computed(() => props.runs.filter(r => r.personId === personId.value).slice(-SHOWN))
const slips = computed(() => slipCounts(own.value, 3))
const progress = computed(() => progressOf(own.value))
const day = (iso: string) => new Date(iso).toLocaleDateString(LOCALE, { day: 'numeric', month: 'short' })
const words = computed(() => {
  const [first, last] = [own.value[0], own.value.at(-1)]
  if (!first || !last) return t('runs-over-time.none')
  return t('runs-over-time.in-words', {
    runs: own.value.length,
    from: day(first.at),
    to: day(last.at),
    score: last.score,
    progress: progress.value,
  })
})

const canvas = useTemplateRef<HTMLCanvasElement>('canvas')
let chart: Chart | null = null
function draw(): void {
  chart?.destroy()
  chart = null
  if (!canvas.value) return
  const style = getComputedStyle(document.documentElement)
  const color = (name: string) => style.getPropertyValue(`--${name}`).trim()
  const font = { family: 'Barlow Semi Condensed', size: 14, weight: 500 as const }
  const data = own.value.map((r, i) => ({ x: i + 1, y: r.score }))
  chart = new Chart(canvas.value, {
    type: 'line',
    data: {
      datasets: [
        {
          data,
          borderColor: color('petrol'),
          borderWidth: 2,
          pointRadius: 5,
          // a drill is an open ring, a whole job a full one
          pointBackgroundColor: own.value.map(r => color(r.drill ? 'sheet' : 'petrol')),
          pointBorderColor: color('petrol'),
          pointBorderWidth: 2,
        },
      ],
    },
    options: {
      animation: false,
      responsive: true,
      maintainAspectRatio: false,
      events: [],
      plugins: { legend: { display: false }, tooltip: { enabled: false } },
      scales: {
        x: {
          type: 'linear',
          min: 0.5,
          max: Math.max(6, data.length) + 0.5,
          grid: { display: false },
          border: { color: color('ink') },
          afterBuildTicks: axis => {
            axis.ticks = [...new Set([1, data.length])].map(value => ({ value }))
          },
          ticks: {
            color: color('ink2'),
            font,
            maxRotation: 0,
            callback: value => (own.value[Number(value) - 1] ? day(own.value[Number(value) - 1]!.at) : ''),
          },
        },
        y: {
          min: 0,
          max: 100,
          border: { color: color('ink') },
          grid: { color: color('line') },
          ticks: { color: color('ink2'), font, stepSize: 25 },
        },
      },
    },
  })
}
onMounted(draw)
watch(own, draw, { flush: 'post' })
useMutationObserver(() => document.documentElement, draw, { attributes: true, attributeFilter: ['class'] })
onUnmounted(() => chart?.destroy())
</script>

<template>
  <section class="over-time" :aria-label="t('runs-over-time.over-time')">
    <h2>{{ t('runs-over-time.over-time') }}</h2>
    <ChoiceField
      v-if="people.length > 1"
      v-model="personId"
      :label="t('runs-over-time.whose')"
      :options="people.map(p => ({ value: p.id, label: p.name }))"
    />
    <div v-if="own.length" class="chart"><canvas ref="canvas" role="img" :aria-label="words" /></div>
    <p class="note">{{ words }}</p>
    <template v-if="slips.length">
      <h3>{{ t('runs-over-time.goes-wrong-most') }}</h3>
      <ol>
        <li v-for="s in slips" :key="s.slip" :data-slip="s.slip">
          <span>{{ t(`slip.${s.slip}`) }}</span><b>{{ t('runs-over-time.in-runs', { runs: s.runs }) }}</b>
        </li>
      </ol>
    </template>
  </section>
</template>

<style scoped>
.over-time {
  display: grid;
  grid-template-columns: minmax(0, 1fr);
  gap: 10px;
}
/* the drawing follows its part's width a moment later */
.chart {
  height: 180px;
  position: relative;
  overflow: hidden;
}
h2 {
  font-size: 20px;
}
h3 {
  font-size: 17px;
}
.note {
  font-size: 15px;
  color: var(--ink2);
}
ol {
  list-style: none;
  margin: 0;
  padding: 0;
}
li {
  display: grid;
  grid-template-columns: 1fr auto;
  gap: 14px;
  padding: 8px 0;
  border-bottom: 1px solid var(--line);
  font-size: 16px;
}
b {
  font: 600 16px/1.3 var(--figures);
}
</style>
