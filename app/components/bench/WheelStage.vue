<script setup lang="ts">
import { computed, toRef } from 'vue'
import { type JobView, nearestStop, type Stage, stopHere } from '~~/core/job'
import { useSmoothAngle } from '../../composables/useSmoothAngle'
import { t } from '../../words'
import CamSign from '../engine/CamSign.vue'
import CycleWheel from '../engine/CycleWheel.vue'
import MarkWindow from '../engine/MarkWindow.vue'
import { marksStatement, placeStatement, stopStatement, turnStatement } from './stage-words'

/**
 * The Find step's picture: wheel and section, with what is known in its corners, and the mark as it looks when right.
 */
const props = defineProps<{ view: JobView; stage: Extract<Stage, { kind: 'wheel' }>; withoutWords?: string }>()
const engine = computed(() => props.view.pin.spec.engine)
const crank = useSmoothAngle(toRef(() => props.view.position.peakDeg))
const feel = computed(() => engine.value.valves.filter(v => props.stage.feelValveIds.includes(v.id)).map(v => v.role))
const place = computed(() => placeStatement(props.view))
const stops = computed(() => props.view.model.plan.stops)
const target = computed(() => nearestStop(props.view))
const stop = computed(() => stopStatement(props.view, target.value))
/** The cylinder that the step is about: the one felt or turned to, else the one of the stop. */
const cylinderId = computed(
  () =>
    props.stage.cylinderId ??
    engine.value.valves.find(v => v.id === target.value?.valves[0]?.valveId)?.cylinderId ??
    engine.value.cylinders[0]!.id,
)
/** The cam sign to look for, where it was drawn. */
const sign = computed(() => {
  const to = props.stage.target ?? target.value?.place
  const told = to?.kind === 'cam-mark' ? engine.value.camMarks[to.camMarkIndex] : undefined
  return told?.picture ? { words: told.words, picture: told.picture, through: told.through } : null
})
/** The line to look for: the one turned to, else the stop's, else any top line. */
const markIndex = computed(() => {
  const place = props.stage.target ?? target.value?.place
  return place?.kind === 'mark' ? place.markIndex : engine.value.marks.findIndex(m => m.kind === 'top')
})
</script>

<template>
  <div
    class="wheel-stage"
    :class="{ turning: stage.target?.kind === 'mark' || (sign && stage.target?.kind === 'cam-mark') }"
  >
    <div class="corner tl">
      <h2>{{ withoutWords ? t('wheel-stage.without-it', { title: place.title }) : place.title }}</h2>
      <p>{{ withoutWords ?? place.words }}</p>
    </div>
    <div class="corner tr">
      <h2>{{ stop.title }}</h2>
      <p>{{ stop.words }}</p>
    </div>
    <CycleWheel
      class="picture"
      :engine="engine"
      :arcs="view.position.arcs"
      :crank-deg="crank"
      :stops="stops"
      :target="target"
      :at-stop="target !== null && stopHere(view) === target"
      :feel="feel"
      :cylinder-id="cylinderId"
    />
    <p class="corner bl">{{ turnStatement(engine, view.pin.quick !== null) }}</p>
    <div v-if="sign" class="corner br">
      <CamSign class="window" :picture="sign.picture" :label="sign.words" />
      <p>{{ sign.words }}{{ sign.through ? ` (${sign.through})` : '' }}</p>
    </div>
    <div v-else class="corner br">
      <MarkWindow v-if="markIndex >= 0" :engine="engine" :mark-index="markIndex" />
      <p>{{ marksStatement(engine, markIndex) }}</p>
    </div>
  </div>
</template>

<style scoped>
.wheel-stage {
  position: relative;
  height: 100%;
  display: grid;
  place-items: center;
  min-height: 0;
}
.picture {
  height: 100%;
  max-height: 580px;
  width: 100%;
}
.corner {
  position: absolute;
  width: 152px;
  font-size: 15.5px;
  line-height: 1.25;
  color: var(--ink2);
}
.corner h2 {
  font-size: 22px;
  line-height: 1.1;
  color: var(--ink);
}
.tl {
  top: 20px;
  left: 20px;
}
.tr {
  top: 20px;
  right: 20px;
  text-align: right;
  width: 134px;
}
.bl {
  bottom: 16px;
  left: 20px;
  width: 112px;
}
.br {
  bottom: 12px;
  right: 16px;
  text-align: right;
  width: 128px;
}
.br :deep(.window) {
  width: 112px;
  margin-left: auto;
}
.br p {
  padding-top: 2px;
  font-size: 14.5px;
  line-height: 1.2;
}
@media (max-width: 1100px) {
  .corner {
    font-size: 14px;
  }
  .corner h2 {
    font-size: 19px;
  }
  .tl {
    left: 12px;
  }
  .tr {
    right: 12px;
    width: 108px;
  }
  .bl {
    left: 12px;
    bottom: 8px;
    width: 94px;
  }
  .br {
    right: 8px;
    bottom: 8px;
    width: 100px;
  }
  .br :deep(.window) {
    width: 86px;
  }
  .br p {
    font-size: 14px;
  }
}
/* A phone: the wheel as high as there is room, what is known at its sides, the rest below it. */
@media (max-width: 700px) {
  .wheel-stage {
    grid-template:
      'tl picture tr' auto 'bl bl bl' auto 'br br br' auto / minmax(0, 1fr)
      minmax(140px, min(100cqh, 46vw)) minmax(0, 1fr);
    gap: 4px 8px;
    padding: 0 12px;
    align-content: start;
    height: auto;
  }
  .wheel-stage.turning {
    grid-template:
      'br br br' auto 'tl picture tr' auto 'bl bl bl' auto / minmax(0, 1fr)
      minmax(140px, min(100cqh, 46vw)) minmax(0, 1fr);
  }
  .picture {
    grid-area: picture;
    height: clamp(140px, 100cqh, 46vw);
  }
  .corner {
    position: static;
    width: auto;
    padding: 4px 0;
    font-size: 14.5px;
    line-height: 1.2;
    align-self: start;
    justify-self: stretch;
    overflow-wrap: anywhere;
  }
  .corner h2 {
    font-size: 18px;
  }
  .tl {
    grid-area: tl;
  }
  .tr {
    grid-area: tr;
  }
  .bl {
    grid-area: bl;
  }
  /* how a line looks when right, with its words beside it: above the wheel while it is looked for */
  .br {
    grid-area: br;
    display: grid;
    grid-template-columns: auto 1fr;
    gap: 8px;
    align-items: center;
    text-align: left;
  }
  .br p {
    padding: 0;
  }
  .br :deep(.window) {
    width: 112px;
    margin: 0;
  }
  .turning .picture {
    height: clamp(120px, 100cqh - 106px, 46vw);
  }
}
</style>
