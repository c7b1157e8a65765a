<script setup lang="ts">
import { useMutationObserver } from '@vueuse/core'
import { Chart, LinearScale, LineController, LineElement, PointElement, type ScatterDataPoint } from 'chart.js'
import Button from 'primevue/button'
import { computed, onMounted, onUnmounted, ref, watch } from 'vue'
import { type Engine, gapEffect, gapEffectWords, liftWithGap } from '~~/core/engine'
import { targetOf } from '~~/core/feeler'
import { middleOf } from '~~/core/history'
import { formatLength } from '~~/core/units'
import type { ValveHistory } from '~~/shared/machines'
import { shopDayWords } from '../../utils/shop-day'
import { named, t, tell } from '../../words'

/**
 * What the gap as found does to a valve, beside the gap as it should be: where it opens and where it closes, near its
 * seat, where a gap shows.
 */
const props = defineProps<{ engine: Engine; valve: ValveHistory; timeZone: string }>()
defineEmits<{ done: [] }>()
Chart.register(LineController, LineElement, PointElement, LinearScale)
const [opening, closing] = [ref<HTMLCanvasElement | null>(null), ref<HTMLCanvasElement | null>(null)]
let charts: Chart<'line', ScatterDataPoint[]>[] = []
/** The visit that shows most: the last one that found it other than in, or the last. */
const point = computed(
  () =>
    props.valve.points.findLast(p => p.asFound && p.asFound.verdict !== 'in') ??
    props.valve.points.findLast(p => p.asFound ?? p.asLeft) ??
    null,
)
const reading = computed(() => point.value?.asFound ?? point.value?.asLeft ?? null)
const foundMm = computed(() => (reading.value ? middleOf(reading.value) : 0))
const wantedMm = computed(() => targetOf(props.engine.clearance[props.valve.role]))
const found = computed(() => gapEffect(props.engine, props.valve.role, foundMm.value))
const wanted = computed(() => gapEffect(props.engine, props.valve.role, wantedMm.value))
const words = computed(() => tell(gapEffectWords(found.value, wanted.value)))
const when = computed(() => (point.value ? shopDayWords(point.value.atMs, props.timeZone) : ''))
const isOpen = computed(() => reading.value?.hiMm === null)

/** Degrees on either side of where it opens or closes, and how much of the lift is shown. mm */
const SPAN_DEG = 22
const TOP_MM = 0.3
function chartAt(canvas: HTMLCanvasElement, middle: number): Chart<'line', ScatterDataPoint[]> {
  const style = getComputedStyle(document.documentElement)
  const color = (name: string) => style.getPropertyValue(`--${name}`).trim()
  const font = { family: 'Barlow Semi Condensed', size: 14, weight: 500 as const }
  const curve = (gapMm: number): ScatterDataPoint[] =>
    Array.from({ length: 177 }, (_, i) => middle - SPAN_DEG + i / 4).map(x => ({
      x,
      y: liftWithGap(props.engine, props.valve.role, gapMm, x),
    }))
  const line = { pointRadius: 0, tension: 0, clip: 0 }
  return new Chart<'line', ScatterDataPoint[]>(canvas, {
    type: 'line',
    data: {
      datasets: [
        { ...line, data: curve(wantedMm.value), borderColor: color('petrol'), borderWidth: 3 },
        { ...line, data: curve(foundMm.value), borderColor: color('ink'), borderWidth: 2, borderDash: [5, 4] },
      ],
    },
    options: {
      animation: false,
      responsive: true,
      maintainAspectRatio: false,
      events: [],
      plugins: { legend: { display: false }, tooltip: { enabled: false } } as object,
      scales: {
        x: {
          type: 'linear',
          min: Math.round(middle - SPAN_DEG),
          max: Math.round(middle + SPAN_DEG),
          grid: { display: false },
          border: { color: color('ink') },
          ticks: {
            color: color('ink2'),
            font,
            stepSize: 10,
            maxRotation: 0,
            callback: v => (Number(v) % 20 === 0 ? `${v}°` : ''),
          },
        },
        y: {
          min: 0,
          max: TOP_MM,
          grid: { display: false },
          border: { color: color('ink') },
          ticks: { color: color('ink2'), font, stepSize: 0.1, callback: v => Number(v).toFixed(1) },
        },
      },
    },
  })
}
function draw(): void {
  charts.forEach(c => c.destroy())
  charts =
    opening.value && closing.value
      ? [chartAt(opening.value, wanted.value.opensDeg), chartAt(closing.value, wanted.value.closesDeg)]
      : []
}
onMounted(draw)
// another theme has other colors
useMutationObserver(document.documentElement, draw, { attributes: true, attributeFilter: ['class'] })
onUnmounted(() => charts.forEach(c => c.destroy()))
watch(() => [props.valve, props.engine], draw, { flush: 'post' })
</script>

<template>
  <div class="lift">
    <header>
      <h2>{{ t('lift-curve.what-the-gap-does') }}</h2>
      <Button severity="secondary" outlined @click="$emit('done')">{{ t('common.close') }}</Button>
    </header>
    <p v-if="!reading" class="note">{{ t('lift-curve.was-not-measured-yet', { name: named(valve.name) }) }}</p>
    <template v-else>
      <p class="said" data-testid="lift-words">
        <b>{{ named(valve.name) }}, {{ when }}.</b> {{ words }}
      </p>
      <div class="pair">
        <figure>
          <figcaption>{{ t('lift-curve.opens') }}</figcaption>
          <div class="plot"><canvas ref="opening" role="img" :aria-label="`${named(valve.name)}: ${words}`" /></div>
        </figure>
        <figure>
          <figcaption>{{ t('lift-curve.closes') }}</figcaption>
          <div class="plot"><canvas ref="closing" aria-hidden="true" /></div>
        </figure>
      </div>
      <ul class="legend">
        <li>
          <i class="wanted" />{{ t('lift-curve.as-it-should-be-mm', { wantedMm: formatLength(wantedMm, 'mm') }) }}
        </li>
        <li><i class="found" />{{ t('lift-curve.as-found-mm', { foundMm: formatLength(foundMm, 'mm') }) }}</li>
      </ul>
      <p class="note">
        {{
          t('lift-curve.lift-near-the-seat-in', {
            camKnown: engine.cam !== null,
            openUpward: isOpen,
          })
        }}
      </p>
    </template>
  </div>
</template>

<style scoped>
.lift {
  display: grid;
  gap: 12px;
  align-content: start;
}
header {
  display: flex;
  justify-content: space-between;
  align-items: center;
}
h2 {
  font-size: 22px;
}
.pair {
  display: grid;
  grid-template-columns: 1fr 1fr;
  gap: 10px;
}
figure {
  margin: 0;
}
figcaption {
  font: 600 16px/1.2 var(--figures);
  padding-bottom: 4px;
}
.plot {
  position: relative;
  height: 200px;
}
.plot canvas {
  position: absolute;
  inset: 0;
}
.note {
  font-size: 15px;
  color: var(--ink2);
}
.said {
  font-size: 17px;
}
.legend {
  list-style: none;
  margin: 0;
  padding: 0;
  display: grid;
  gap: 4px;
  font: 500 16px/1.3 var(--figures);
}
i {
  display: inline-block;
  width: 30px;
  border-top: 3px solid var(--petrol);
  margin-right: 10px;
  vertical-align: middle;
}
.found {
  border-top: 2px dashed var(--ink);
}
</style>
