<script setup lang="ts">
import Button from 'primevue/button'
import { computed, ref, useTemplateRef } from 'vue'
import { dragValve, type Engine, headMap, MAP_HEIGHT, MAP_WIDTH } from '~~/core/engine'
import { headWords } from '../../../bench/picture-words'
import { named, t } from '../../../words'
import HeadsDrawing from '../../engine/HeadsDrawing.vue'

/** The heads' drawing, in which a valve is dragged to where it is, by finger, mouse or arrow keys. */
const props = defineProps<{ engine: Engine }>()
const emit = defineEmits<{ valves: [valves: Engine['valves']] }>()
const frame = useTemplateRef<HTMLElement>('frame')
/** Where the valve in hand is now, and where on it the finger is: nothing is told before it is let go. */
const held = ref<{ valveId: string; x: number; y: number; grip: { x: number; y: number } } | null>(null)
/** A finger that lands wanders by as much, in units of the plan, without meaning anything. */
const STILL = 4
let carried = false
const shown = computed(() =>
  held.value ? { ...props.engine, valves: dragValve(props.engine, held.value.valveId, held.value) } : props.engine,
)
const map = computed(() => headMap(shown.value))
const moved = computed(() => props.engine.valves.some(v => v.offset))

/** A place on the screen in the units of the plan. */
function onPlan({ clientX, clientY }: PointerEvent): { x: number; y: number } | null {
  const screen = frame.value?.querySelector('svg')?.getScreenCTM()
  return screen ? new DOMPoint(clientX, clientY).matrixTransform(screen.inverse()) : null
}
function take(event: PointerEvent): void {
  const valveId = (event.target as Element).closest<SVGElement>('[data-valve]')?.dataset.valve
  const place = onPlan(event)
  const valve = map.value.valves.find(v => v.valveId === valveId)
  if (!valve || !place) return
  event.preventDefault()
  frame.value?.setPointerCapture(event.pointerId)
  carried = false
  held.value = { ...valve, grip: { x: place.x - valve.x, y: place.y - valve.y } }
}
function carry(event: PointerEvent): void {
  const place = onPlan(event)
  if (!held.value || !place) return
  const { grip, ...from } = held.value
  const to = { x: place.x - grip.x, y: place.y - grip.y }
  carried ||= Math.hypot(to.x - from.x, to.y - from.y) > STILL
  if (carried) held.value = { ...from, ...to, grip }
}
function drop(): void {
  if (held.value && carried) emit('valves', shown.value.valves)
  held.value = null
}

const STEP = 8
const WAYS: Record<string, [number, number]> = {
  ArrowLeft: [-STEP, 0],
  ArrowRight: [STEP, 0],
  ArrowUp: [0, -STEP],
  ArrowDown: [0, STEP],
}
function nudge(valveId: string, event: KeyboardEvent): void {
  const way = WAYS[event.key]
  const valve = map.value.valves.find(v => v.valveId === valveId)
  if (!way || !valve) return
  event.preventDefault()
  emit('valves', dragValve(props.engine, valveId, { x: valve.x + way[0], y: valve.y + way[1] }))
}
const asDrawn = () =>
  emit(
    'valves',
    props.engine.valves.map(({ offset: _, ...valve }) => valve),
  )
const place = (x: number, y: number) => ({ left: `${(x / MAP_WIDTH) * 100}%`, top: `${(y / MAP_HEIGHT) * 100}%` })
</script>

<template>
  <div class="drag">
    <div
      ref="frame"
      class="plan"
      @pointerdown="take"
      @pointermove="carry"
      @pointerup="drop"
      @pointercancel="held = null"
    >
      <HeadsDrawing
        :map="map"
        :label="headWords(engine)"
        :words-of="v => [v.sign]"
        :letters="{ valve: 19, head: 17, side: 17 }"
      />
      <button
        v-for="v in map.valves"
        :key="v.valveId"
        type="button"
        class="by-keys"
        :style="place(v.x, v.y)"
        :aria-label="t('heads-drag.move', { name: named(v.name) })"
        @keydown="nudge(v.valveId, $event)"
      />
    </div>
    <p class="note">
      {{ t('heads-drag.how') }}
      <Button v-if="moved" link :label="t('heads-drag.as-drawn')" @click="asDrawn" />
    </p>
  </div>
</template>

<style scoped>
.plan {
  position: relative;
  aspect-ratio: 420 / 400;
  max-width: 400px;
  user-select: none;
}
.plan :deep([data-valve]) {
  cursor: grab;
  touch-action: none;
}
.by-keys {
  position: absolute;
  width: 44px;
  height: 44px;
  margin: -22px 0 0 -22px;
  border: 0;
  padding: 0;
  background: none;
  border-radius: 50%;
  pointer-events: none;
}
.note {
  color: var(--ink2);
  font-size: 15px;
}
</style>
