<script setup lang="ts">
import { Chart, Legend, LinearScale, LineController, LineElement, PointElement, type ScatterDataPoint } from 'chart.js'
import { computed, onMounted, onUnmounted, ref, watch } from 'vue'
import { type Engine, gapEffect, gapEffectWords, liftWithGap, valveEvents } from '~~/core/engine'
import { targetOf } from '~~/core/feeler'
import { middleOf } from '~~/core/history'
import { formatLength } from '~~/core/units'
import type { ValveHistory } from '~~/shared/machines'

/** What the gap as found does to a valve’s opening, beside the same with the gap as it should be: to show an owner why it matters. */
const props = defineProps<{ engine: Engine, valve: ValveHistory }>()
defineEmits<{ done: [] }>()
Chart.register(LineController, LineElement, PointElement, LinearScale, Legend)
const canvas = ref<HTMLCanvasElement | null>(null)
let chart: Chart<'line', ScatterDataPoint[]> | null = null
/** The visit that shows most: the last one that found it other than in, or the last. */
const point = computed(() => props.valve.points.findLast(p => p.asFound && p.asFound.verdict !== 'in') ?? props.valve.points.findLast(p => p.asFound ?? p.asLeft) ?? null)
const reading = computed(() => point.value?.asFound ?? point.value?.asLeft ?? null)
const foundMm = computed(() => reading.value ? middleOf(reading.value) : 0)
const wantedMm = computed(() => targetOf(props.engine.clearance[props.valve.role]))
const words = computed(() => gapEffectWords(gapEffect(props.engine, props.valve.role, foundMm.value), gapEffect(props.engine, props.valve.role, wantedMm.value)))
const when = computed(() => point.value ? new Date(point.value.atMs).toLocaleDateString('en-GB', { day: 'numeric', month: 'short', year: 'numeric' }) : '')
const open = computed(() => reading.value?.hiMm === null)

function draw(): void {
  chart?.destroy()
  if (!canvas.value || !reading.value) return
  const style = getComputedStyle(document.documentElement)
  const colour = (name: string) => style.getPropertyValue(`--${name}`).trim()
  const { opensDeg, closesDeg, rampDeg } = valveEvents(props.engine, props.valve.role)
  const curve = (gapMm: number): ScatterDataPoint[] => Array.from({ length: 161 }, (_, i) => opensDeg - rampDeg + (closesDeg - opensDeg + 2 * rampDeg) * i / 160).map(x => ({ x, y: liftWithGap(props.engine, props.valve.role, gapMm, x) }))
  const font = { family: 'Barlow Semi Condensed', size: 14, weight: 500 as const }
  const line = { pointRadius: 0, tension: 0 }
  chart = new Chart<'line', ScatterDataPoint[]>(canvas.value, {
    type: 'line',
    data: { datasets: [{ ...line, label: `as it should be, ${formatLength(wantedMm.value, 'mm')} mm`, data: curve(wantedMm.value), borderColor: colour('petrol'), borderWidth: 2.4 }, { ...line, label: `as found, ${formatLength(foundMm.value, 'mm')} mm`, data: curve(foundMm.value), borderColor: colour('ink'), borderWidth: 2, borderDash: [5, 4] }] },
    options: {
      animation: false, responsive: true, maintainAspectRatio: false, events: [],
      plugins: { legend: { position: 'bottom', labels: { color: colour('ink'), font, boxWidth: 26, boxHeight: 1 } } } as object,
      scales: { x: { type: 'linear', grid: { display: false }, border: { color: colour('ink') }, title: { display: true, text: 'degrees after compression TDC', color: colour('ink2'), font }, ticks: { color: colour('ink2'), font, maxTicksLimit: 7 } }, y: { min: 0, grid: { display: false }, border: { color: colour('ink') }, title: { display: true, text: 'lift, mm', color: colour('ink2'), font }, ticks: { color: colour('ink2'), font } } },
    },
  })
}
onMounted(draw)
onUnmounted(() => chart?.destroy())
watch(() => props.valve.valveId, draw, { flush: 'post' })
</script>

<template>
  <div class="lift">
    <header><h2>What the gap does</h2><button type="button" class="quiet" @click="$emit('done')">Close</button></header>
    <p v-if="!reading" class="note">{{ valve.name }} was not measured yet.</p>
    <template v-else>
      <p class="said" data-testid="lift-words"><b>{{ valve.name }}, {{ when }}.</b> {{ words }}</p>
      <div class="plot"><canvas ref="canvas" role="img" :aria-label="`${valve.name}: ${words}`" /></div>
      <p class="note">Cam timing and lift {{ engine.cam ? 'lift is assumed from the stroke' : 'are assumed' }}{{ open ? '; the reading was open upward, its lower end is drawn' : '' }}. Shows how, not how much to the hundredth.</p>
    </template>
  </div>
</template>

<style scoped>
.lift { display: grid; gap: 12px; align-content: start; } header { display: flex; justify-content: space-between; align-items: center; } h2 { font-size: 22px; } .plot { position: relative; height: 290px; } .plot canvas { position: absolute; inset: 0; } .note { font-size: 15px; color: var(--ink2); } .said { font-size: 17px; }
</style>
