<script setup lang="ts">
import { useMutationObserver } from '@vueuse/core'
import {
  Chart,
  Filler,
  LinearScale,
  LineController,
  LineElement,
  type Plugin,
  PointElement,
  type ScatterDataPoint,
} from 'chart.js'
import { computed, onMounted, onUnmounted, ref, watch } from 'vue'
import type { ValveHistory } from '~~/shared/machines'
import { LOCALE } from '../../language'
import { named, t } from '../../words'
import { VERDICT_WORDS } from '../bench/verdict-words'
import VerdictShape from '../bench/VerdictShape.vue'
import { barsOf, type ChartColors, chartOf, driftWords, meterTicks } from './chart-data'

/** One valve over the years: readings as bars, its spec, its drift, and where it goes from here. */
const props = defineProps<{
  valve: ValveHistory
  limits: { minMm: number; maxMm: number }
  span: { from: number; to: number }
  meterAt: number
  unit: string
  due: number | null
  causes: boolean
}>()
defineEmits<{ effect: [] }>()
Chart.register(LineController, LineElement, PointElement, LinearScale, Filler)
const canvas = ref<HTMLCanvasElement | null>(null)
let chart: Chart<'line', ScatterDataPoint[]> | null = null
const last = computed(() => props.valve.points.findLast(p => p.asLeft ?? p.asFound))
const verdict = computed(() => (last.value?.asLeft ?? last.value?.asFound)?.verdict ?? 'not measured')
const words = computed(() => driftWords(props.valve, props.unit))
const topMm = computed(
  () =>
    Math.ceil(
      Math.max(
        props.limits.maxMm * 1.35,
        ...props.valve.points.flatMap(p => [p.asFound?.hiMm ?? p.asFound?.loMm ?? 0, p.asLeft?.hiMm ?? 0]),
      ) *
        20 +
        0.4,
    ) / 20,
)

function colors(): ChartColors {
  const style = getComputedStyle(document.documentElement)
  const of = (name: string) => style.getPropertyValue(`--${name}`).trim()
  return {
    ink: of('ink'),
    ink2: of('ink2'),
    line: of('line'),
    petrol: of('petrol'),
    tint: of('petrol-tint'),
    tight: of('tight'),
    loose: of('loose'),
    looseFill: of('loose-fill'),
    hatch: of('hatch'),
    ground: of('white'),
  }
}

/** Bars with their shapes, and the line of the next check: what no line chart has of its own. */
const marks = (c: ChartColors): Plugin<'line'> => ({
  id: 'marks',
  beforeDraw({ ctx, chartArea: { left, top, width, height } }) {
    ctx.fillStyle = c.ground
    ctx.fillRect(left, top, width, height)
  },
  afterDatasetsDraw({ ctx, scales: { x, y }, chartArea }) {
    const fill = { in: c.petrol, tight: c.tight, loose: c.looseFill, unproved: c.hatch }
    for (const { use, reading } of barsOf(props.valve.points, (props.span.to - props.span.from) * 0.012)) {
      const px = x!.getPixelForValue(use)
      const [high, low] = [
        reading.hiMm === null ? chartArea.top : y!.getPixelForValue(reading.hiMm),
        y!.getPixelForValue(reading.loMm),
      ]
      ctx.fillStyle = fill[reading.verdict]
      ctx.fillRect(px - 5, high, 10, Math.max(3, low - high))
      ctx.fillRect(px - 8, low - 2, 16, 2.5)
      if (reading.hiMm !== null) ctx.fillRect(px - 8, high - 0.5, 16, 2.5)
      if (reading.verdict === 'tight') triangle(ctx, px, low + 6, 1)
      if (reading.verdict === 'loose') triangle(ctx, px, high - 6, -1)
    }
    if (props.due !== null && props.due <= props.span.to) dueLine(ctx, x!.getPixelForValue(props.due), chartArea, c)
  },
})
function triangle(ctx: CanvasRenderingContext2D, x: number, y: number, way: 1 | -1): void {
  ctx.beginPath()
  ctx.moveTo(x - 7, y)
  ctx.lineTo(x + 7, y)
  ctx.lineTo(x, y + 11 * way)
  ctx.fill()
}
function dueLine(
  ctx: CanvasRenderingContext2D,
  x: number,
  { top, bottom }: { top: number; bottom: number },
  c: ChartColors,
): void {
  Object.assign(ctx, { strokeStyle: c.ink, lineWidth: 1.6, fillStyle: props.causes ? c.petrol : c.ground })
  ctx.setLineDash([3, 4])
  ctx.beginPath()
  ctx.moveTo(x, top)
  ctx.lineTo(x, bottom)
  ctx.stroke()
  ctx.setLineDash([])
  ctx.beginPath()
  ctx.arc(x, top, 7, 0, Math.PI)
  ctx.closePath()
  ctx.fill()
  ctx.stroke()
}

function draw(): void {
  chart?.destroy()
  if (!canvas.value) return
  const c = colors()
  const font = { family: 'Barlow Semi Condensed', size: 14, weight: 500 as const }
  const thou = (mm: number) => Math.round(mm / 0.0254)
  chart = new Chart<'line', ScatterDataPoint[]>(canvas.value, {
    type: 'line',
    data: chartOf(props.valve, props.limits, props.span, c),
    plugins: [marks(c) as Plugin<'line'>],
    options: {
      animation: false,
      responsive: true,
      maintainAspectRatio: false,
      events: [],
      layout: { padding: { top: 8, right: 4 } },
      plugins: { legend: { display: false }, tooltip: { enabled: false } } as object,
      scales: {
        x: {
          type: 'linear',
          min: props.span.from,
          max: props.span.to,
          border: { color: c.ink },
          grid: { display: false },
          afterBuildTicks: axis => {
            axis.ticks = meterTicks(props.span, props.meterAt).map(value => ({ value }))
          },
          ticks: {
            color: c.ink2,
            font,
            autoSkip: false,
            maxRotation: 0,
            callback: (v, i, all) =>
              `${Math.round(Number(v) + props.meterAt).toLocaleString(LOCALE)}${i === all.length - 1 ? ` ${props.unit}` : ''}`,
          },
        },
        y: {
          min: 0,
          max: topMm.value,
          border: { color: c.ink },
          grid: { display: false },
          ticks: {
            color: c.ink2,
            font,
            stepSize: 0.05,
            callback: v => (Number(v) > topMm.value - 0.01 ? 'mm' : Number(v).toFixed(2)),
          },
        },
        thou: {
          position: 'right',
          min: 0,
          max: topMm.value / 0.0254,
          border: { color: c.ink },
          grid: { display: false },
          ticks: {
            color: c.ink2,
            font,
            stepSize: 2,
            callback: v =>
              Number(v) % 2 === 0 && Number(v) <= thou(topMm.value) - 1
                ? String(v)
                : Number(v) >= topMm.value / 0.0254 - 0.01
                  ? 'thou'
                  : '',
          },
        },
      },
    },
  })
}
// a canvas draws with what fonts are there: once more when the figures’ own has come
onMounted(() => {
  draw()
  void document.fonts.load('500 14px "Barlow Semi Condensed"').then(draw)
})
// another theme has other colors
useMutationObserver(document.documentElement, draw, { attributes: true, attributeFilter: ['class'] })
onUnmounted(() => chart?.destroy())
watch(() => [props.valve, props.span, props.due], draw)
const label = computed(() =>
  t('valve-chart.visits-last', {
    name: named(props.valve.name),
    count: props.valve.points.filter(p => p.use !== null).length,
    words: words.value,
    value: VERDICT_WORDS[verdict.value].toLowerCase(),
  }),
)
</script>

<template>
  <section class="chart" :data-valve="valve.valveId" :data-drift="valve.slope?.perUse.toExponential(3) ?? ''">
    <header>
      <h2>
        <button
          type="button"
          class="name"
          :title="t('valve-chart.what-the-gap-of-the', { name: valve.name.toLowerCase() })"
          @click="$emit('effect')"
        >
          {{ named(valve.name) }}
        </button>
      </h2>
      <p :class="{ faster: valve.faster }">{{ words }}</p>
      <b><VerdictShape :verdict="verdict" />{{ VERDICT_WORDS[verdict] }}</b>
    </header>
    <div class="plot"><canvas ref="canvas" role="img" :aria-label="label" /></div>
  </section>
</template>

<style scoped>
.chart {
  padding: 12px 16px 6px 12px;
  border-right: 1px solid var(--line);
  border-bottom: 1px solid var(--line);
  display: grid;
  grid-template-rows: auto minmax(0, 1fr);
  min-width: 0;
  min-height: 220px;
}
header {
  display: flex;
  gap: 14px;
  align-items: baseline;
  padding: 0 8px 4px;
}
h2 {
  font-size: 18px;
  white-space: nowrap;
}
header p {
  font: 500 15px/1.2 var(--figures);
  color: var(--ink2);
  flex: 1;
  min-width: 0;
  overflow: hidden;
  text-overflow: ellipsis;
  white-space: nowrap;
}
header p.faster {
  color: var(--ink);
  font-weight: 700;
}
header b {
  display: inline-flex;
  gap: 7px;
  align-items: center;
  font: 600 17px/1 var(--figures);
}
.name {
  background: none;
  border: 0;
  padding: 4px 0;
  min-height: 44px;
  cursor: pointer;
  color: var(--ink);
  font: 600 18px/1.2 var(--figures);
  text-decoration: underline;
  text-decoration-color: var(--edge);
  text-underline-offset: 4px;
}
.plot {
  position: relative;
  min-height: 0;
}
canvas {
  position: absolute;
  inset: 0;
}
</style>
