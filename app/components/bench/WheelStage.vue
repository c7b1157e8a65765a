<script setup lang="ts">
import { computed, toRef } from 'vue'
import type { JobView, Stage } from '~~/core/job'
import { useSmoothAngle } from '../../composables/useSmoothAngle'
import CycleWheel from '../engine/CycleWheel.vue'
import { marksStatement, placeStatement, stopStatement, turnStatement } from './stage-words'

/** The Find step's picture: wheel and section, with what is known in its corners. */
const props = defineProps<{ view: JobView, stage: Extract<Stage, { kind: 'wheel' }> }>()
const engine = computed(() => props.view.pin.spec.engine)
const crank = useSmoothAngle(toRef(() => props.view.position.peakDeg))
const feel = computed(() => engine.value.valves.filter(v => props.stage.feelValveIds.includes(v.id)).map(v => v.role))
const place = computed(() => placeStatement(props.view))
const plan = computed(() => props.view.tools.model.plan)
const stop = computed(() => stopStatement(engine.value, plan.value.stops[0], plan.value.pastTop))
</script>

<template>
  <div class="wheel-stage">
    <div class="corner tl"><h2>{{ place.title }}</h2><p>{{ place.words }}</p></div>
    <div class="corner tr"><h2>{{ stop.title }}</h2><p>{{ stop.words }}</p></div>
    <CycleWheel class="picture" :engine="engine" :arcs="view.position.arcs" :crank-deg="crank" :stops="plan.stops" :at-stop="view.position.standing.kind === 'settled'" :feel="feel" />
    <p class="corner bl">{{ turnStatement(engine) }}</p>
    <p class="corner br">{{ marksStatement(engine) }}</p>
  </div>
</template>

<style scoped>
.wheel-stage { position: relative; height: 100%; display: grid; place-items: center; min-height: 0; }
.picture { height: 100%; max-height: 580px; width: 100%; }
.corner { position: absolute; width: 152px; font-size: 15.5px; line-height: 1.25; color: var(--ink2); }
.corner h2 { font-size: 22px; line-height: 1.1; color: var(--ink); }
.tl { top: 20px; left: 20px; } .tr { top: 20px; right: 20px; text-align: right; width: 126px; }
.bl { bottom: 16px; left: 20px; width: 112px; } .br { bottom: 16px; right: 20px; text-align: right; width: 118px; }
@media (max-width: 1100px) { .corner { font-size: 14px; } .corner h2 { font-size: 19px; } .tl { left: 12px; } .tr { right: 12px; width: 108px; } .bl { left: 12px; bottom: 8px; width: 94px; } .br { right: 12px; bottom: 8px; width: 94px; } }
@media (max-width: 700px) {
  .wheel-stage { grid-template-columns: 1fr 1fr; gap: 0 12px; align-content: start; height: auto; }
  .picture { grid-column: 1 / -1; height: 250px; } .corner { position: static; width: auto; padding: 4px 16px; font-size: 14.5px; align-self: start; } .corner h2 { font-size: 19px; }
}
</style>
