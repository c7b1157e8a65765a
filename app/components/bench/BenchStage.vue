<script setup lang="ts">
import type { Stack } from '~~/core/feeler'
import type { CardLine, Happening, JobView, Stage } from '~~/core/job'
import type { StripValve } from '../../bench/strip'
import BladesStage from './BladesStage.vue'
import CardStage from './CardStage.vue'
import ClearanceRule from './ClearanceRule.vue'
import ColdStage from './ColdStage.vue'
import FiguresStage from './FiguresStage.vue'
import HeadMap from './HeadMap.vue'
import ListStage from './ListStage.vue'
import ScrewStage from './ScrewStage.vue'
import ShimsStage from './ShimsStage.vue'
import StartStage from './StartStage.vue'
import WheelStage from './WheelStage.vue'

/** The middle of the Bench: the picture that goes with the one next thing. */
defineProps<{
  view: JobView
  stage: Stage
  chosen: Stack | null
  stacking: boolean
  turnDeg: number | null
  topMm: number
  strip: StripValve[]
  stopWords: string
  withoutWords?: string
  notSo: ReadonlySet<string>
}>()
defineEmits<{
  blade: [engravedMm: number]
  stack: []
  sets: []
  turn: [deg: number]
  line: [line: CardLine]
  record: [happening: Happening]
}>()
const valveOf = (strip: StripValve[], stage: Stage) =>
  'valveId' in stage ? strip.find(v => v.valveId === stage.valveId) : undefined
</script>

<template>
  <div v-if="valveOf(strip, stage)" class="phone-rule">
    <ClearanceRule v-if="stage.kind !== 'screw'" v-bind="valveOf(strip, stage)!" :top-mm="topMm" />
    <p>
      <b>{{ valveOf(strip, stage)!.words }}</b><span>{{ valveOf(strip, stage)!.other }}</span>
    </p>
    <p v-if="stopWords && stage.kind !== 'screw'" class="stop">{{ stopWords }}</p>
  </div>
  <WheelStage v-if="stage.kind === 'wheel'" :view="view" :stage="stage" :without-words="withoutWords" />
  <CardStage
    v-else-if="stage.kind === 'card'"
    :pin="view.pin"
    :lines="stage.lines"
    :not-so="notSo"
    @tap="$emit('line', $event)"
  />
  <BladesStage
    v-else-if="stage.kind === 'blades'"
    :view="view"
    :valve-id="stage.valveId"
    :chosen="chosen"
    :stacking="stacking"
    :top-mm="topMm"
    @choose="$emit('blade', $event)"
    @stack="$emit('stack')"
    @sets="$emit('sets')"
  />
  <ScrewStage
    v-else-if="stage.kind === 'screw'"
    :view="view"
    :stage="stage"
    :turn-deg="turnDeg"
    :chosen="chosen"
    :stacking="stacking"
    @turn="$emit('turn', $event)"
    @choose="$emit('blade', $event)"
    @stack="$emit('stack')"
    @sets="$emit('sets')"
  />
  <ShimsStage v-else-if="stage.kind === 'shims'" :view="view" :valve-id="stage.valveId" />
  <FiguresStage v-else-if="stage.kind === 'figures'" :view="view" :role="stage.role" />
  <ColdStage v-else-if="stage.kind === 'cold'" :view="view" />
  <div v-else-if="stage.kind === 'head'" class="head-stage"><HeadMap :engine="view.pin.spec.engine" /></div>
  <StartStage v-else-if="stage.kind === 'start'" :view="view" />
  <ListStage
    v-else
    :view="view"
    :closing="stage.kind === 'close' || stage.kind === 'sign'"
    @record="$emit('record', $event)"
  />
</template>

<style scoped>
.head-stage {
  height: 100%;
  display: grid;
  place-items: center;
  padding: 24px;
}
.head-stage > * {
  max-width: 500px;
  max-height: 520px;
}
.phone-rule {
  display: none;
  padding: 10px 16px 0;
}
.phone-rule p {
  display: flex;
  justify-content: space-between;
  font: 500 16px/1.3 var(--figures);
  padding-top: 4px;
}
.phone-rule .stop {
  color: var(--ink2);
}
@media (max-width: 700px) {
  .phone-rule {
    display: block;
  }
  .head-stage {
    padding: 8px 16px;
  }
}
</style>
