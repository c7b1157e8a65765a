<script setup lang="ts">
import { computed, ref } from 'vue'
import { cylinderById, type Engine, pistonDrop, rodLengthMm, wrap } from '~~/core/engine'
import { t } from '../../words'
import EngineSection from '../engine/EngineSection.vue'

/**
 * The engine on the practice bench: cut open or closed, its flywheel to be dragged round, the soft rod on its piston.
 */
const props = defineProps<{
  engine: Engine
  crankDeg: number
  cylinderId: string
  open: boolean
  rod: boolean
  held: boolean
}>()
const emit = defineEmits<{ turn: [deg: number]; letGo: [] }>()

/** Measures of the section: its stroke and the top of its piston, in its own units. */
const STROKE = 66
const CROWN_TOP = -64
const HEAD = -72
const [RING_IN, RING] = [66, 84]
const scale = computed(() => STROKE / props.engine.strokeMm)
const crankY = computed(() => Math.min(rodLengthMm(props.engine) * scale.value, 128) - 7)
const local = computed(() => wrap(props.crankDeg - cylinderById(props.engine, props.cylinderId).firingAngleDeg))
const crownY = computed(() => CROWN_TOP + pistonDrop(props.engine, local.value) * scale.value)
const knurls = Array.from({ length: 36 }, (_, i) => i * 10)
const pushRods = computed(() => props.engine.layout === 'push-rods')

const svg = ref<SVGSVGElement | null>(null)
const lastDeg = ref<number | null>(null)
function angleAt(event: PointerEvent): number | null {
  const matrix = svg.value?.getScreenCTM()
  if (!matrix) return null
  const at = new DOMPoint(event.clientX, event.clientY).matrixTransform(matrix.inverse())
  return (Math.atan2(at.x, crankY.value - at.y) * 180) / Math.PI
}
function grab(event: PointerEvent): void {
  if (props.held) return
  lastDeg.value = angleAt(event)
  ;(event.currentTarget as Element).setPointerCapture(event.pointerId)
}
function pull(event: PointerEvent): void {
  const at = angleAt(event)
  if (lastDeg.value === null || at === null) return
  const moved = wrap(at - lastDeg.value + 180, 360) - 180
  lastDeg.value = at
  if (moved !== 0) emit('turn', moved)
}
function release(): void {
  if (lastDeg.value === null) return
  lastDeg.value = null
  emit('letGo')
}
function roll(event: WheelEvent): void {
  if (!props.held) emit('turn', Math.sign(event.deltaY) * 3)
}
</script>

<template>
  <svg
    ref="svg"
    viewBox="-122 -172 244 376"
    role="img"
    :aria-label="t('practice-engine.engine', { open })"
    :data-crank="crankDeg.toFixed(1)"
    @wheel.prevent="roll"
  >
    <g
      class="ring"
      :class="{ held }"
      tabindex="-1"
      @pointerdown="grab"
      @pointermove="pull"
      @pointerup="release"
      @pointercancel="release"
    >
      <path
        :d="`M 0 ${crankY - RING} A ${RING} ${RING} 0 1 1 -0.01 ${crankY - RING} Z M 0 ${crankY - RING_IN} A ${RING_IN} ${RING_IN} 0 1 0 0.01 ${crankY - RING_IN} Z`"
        fill="var(--sunk)"
        stroke="var(--ink)"
        stroke-width="1.4"
        fill-rule="evenodd"
      />
      <g :transform="`translate(0 ${crankY}) rotate(${crankDeg})`">
        <path
          v-for="deg in knurls"
          :key="deg"
          :d="`M 0 ${-RING} V ${-RING + (deg % 90 ? 6 : 14)}`"
          :transform="`rotate(${deg})`"
          stroke="var(--ink)"
          :stroke-width="deg % 90 ? 1 : 2.4"
        />
      </g>
    </g>
    <EngineSection class="through" :engine="engine" :crank-deg="local" :feel="[]" labels :label-size="12" />
    <g v-if="rod" class="through">
      <rect
        x="-3.5"
        :y="crownY - 118"
        width="7"
        height="118"
        fill="var(--sheet)"
        stroke="var(--ink)"
        stroke-width="1.1"
      />
      <path
        v-for="i in 11"
        :key="i"
        :d="`M -3.5 ${crownY - 112 + i * 9} h ${i % 5 ? 3 : 6}`"
        stroke="var(--ink)"
        stroke-width=".8"
      />
    </g>
    <g v-if="!open" class="casing through">
      <path
        :d="`M -50 ${HEAD - 36} H 50 L 52 ${crankY - 40} A 62 62 0 1 1 -52 ${crankY - 40} Z`"
        fill="var(--metal-light)"
        stroke="var(--ink)"
        stroke-width="1.4"
      />
      <path v-for="i in 7" :key="i" :d="`M -54 ${HEAD - 24 + i * 13} H 54`" stroke="var(--ink)" stroke-width="1.2" />
      <g v-if="pushRods">
        <g v-for="side in [-1, 1]" :key="side">
          <rect
            :x="side * 64 - 8"
            :y="HEAD - 20"
            width="16"
            :height="crankY - HEAD - 10"
            fill="var(--metal-light)"
            stroke="var(--ink)"
            stroke-width="1.2"
          />
          <circle
            :cx="side * 64"
            :cy="crankY + 2"
            r="27"
            fill="var(--metal-light)"
            stroke="var(--ink)"
            stroke-width="1.2"
          />
        </g>
      </g>
      <rect
        v-if="rod"
        x="-3.5"
        :y="crownY - 118"
        width="7"
        :height="Math.max(0, HEAD - 36 - crownY + 118)"
        fill="var(--sheet)"
        stroke="var(--ink)"
        stroke-width="1.1"
      />
      <circle cx="0" :cy="crankY" r="13" fill="var(--metal)" stroke="var(--ink)" stroke-width="1.3" />
      <path
        :d="`M 0 ${crankY} V ${crankY - 12}`"
        :transform="`rotate(${crankDeg} 0 ${crankY})`"
        stroke="var(--ink)"
        stroke-width="2.4"
      />
    </g>
  </svg>
</template>

<style scoped>
svg {
  display: block;
  width: 100%;
  height: 100%;
  touch-action: none;
}
.through {
  pointer-events: none;
}
.ring {
  cursor: grab;
}
.ring:active {
  cursor: grabbing;
}
.ring.held {
  cursor: not-allowed;
}
</style>
