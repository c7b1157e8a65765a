<script setup lang="ts">
import { computed } from 'vue'
import { turnBySlot } from '~~/core/adjuster'
import { countedAsIn, type Stack } from '~~/core/feeler'
import { bracketOf, clearanceOf, type JobView, setInHand, shiftWords, type Stage } from '~~/core/job'
import { say } from '~~/core/said'
import { formatLength } from '~~/core/units'
import { slotTries } from '../../bench/slot-tries'
import { t, tell } from '../../words'
import AimRule from './AimRule.vue'
import BladeFan from './BladeFan.vue'
import SetStations from './SetStations.vue'
import SlotClock from './SlotClock.vue'
import TurnBar from './TurnBar.vue'

/**
 * Set: the slot as a clock, the aim, the way through the lock, each round, and the turn, which may be changed before it
 * is recorded.
 */
const props = defineProps<{
  view: JobView
  stage: Extract<Stage, { kind: 'screw' }>
  turnDeg: number | null
  chosen: Stack | null
  stacking: boolean
}>()
const emit = defineEmits<{ turn: [deg: number]; choose: [engravedMm: number]; stack: []; sets: [] }>()
const valve = computed(() => props.view.state.valves.find(v => v.valveId === props.stage.valveId)!)
const adjuster = computed(() => props.view.pin.spec.engine.adjuster)
const origin = computed(() => valve.value.slotFromDeg ?? 0)
const onClock = (screwDeg: number): number => origin.value + screwDeg
const tries = computed(() => slotTries(props.view, valve.value, onClock))
const bracket = computed(() => {
  const { looseDeg, tightDeg } = bracketOf(props.view, valve.value, props.stage.aim.beforeMm)
  return looseDeg === null || tightDeg === null ? null : { fromDeg: onClock(looseDeg), toDeg: onClock(tightDeg) }
})
const limits = computed(() => countedAsIn(clearanceOf(props.view.pin, valve.value.valveId), setInHand(props.view)))
/** What the blades said at the screw's present angle. */
const felt = computed(
  () =>
    new Map(
      valve.value.tries
        .filter(t => t.round === valve.value.round && t.screwDeg === valve.value.screwDeg)
        .flatMap(t => t.trials.map(tr => [(tr.engravedMm ?? tr.bladesMm).join('+'), tr.feel] as const)),
    ),
)
const mm = (v: number) => `${formatLength(v, 'mm')} mm`
const aimWords = computed(() => {
  const { aim } = props.stage
  return aim.shift
    ? {
        title: t('screw-stage.aim-end-at', {
          beforeMm: mm(aim.beforeMm),
          mm: mm(Math.max(0, aim.beforeMm + aim.shift.shiftMm)),
        }),
        why: tell(say('lock.and-whose', { shift: shiftWords(aim.shift), by: aim.by })),
      }
    : {
        title: t('screw-stage.aim', { beforeMm: mm(aim.beforeMm) }),
        why: t('common.no-locknut-allowance-yet-needs-two'),
      }
})
/**
 * The turn that brings the slot to a place on the clock: of those that look alike, the one nearest to what was asked.
 */
const turnTo = (clockDeg: number) =>
  emit(
    'turn',
    Math.round(turnBySlot(onClock(valve.value.screwDeg), clockDeg, props.stage.askedDeg ?? 0, adjuster.value.head)),
  )
</script>

<template>
  <div class="screw-stage">
    <SetStations class="left" :view="view" :stage="stage" />
    <SlotClock
      class="clock"
      :slot-deg="onClock(valve.screwDeg)"
      :noted="valve.slotFromDeg !== null"
      :turn-deg="turnDeg"
      :tries="tries"
      :bracket="bracket"
      :head="adjuster.head"
      @drag="turnTo"
    />
    <div class="aims">
      <p>
        <b>{{ aimWords.title }}</b> {{ aimWords.why }}
      </p>
      <AimRule :aim="stage.aim" :min-mm="limits.minMm" :max-mm="limits.maxMm" />
    </div>
    <BladeFan
      v-if="chosen"
      class="fan"
      low
      :set="setInHand(view)"
      :chosen="chosen.engravedMm"
      :felt="felt"
      :stacking="stacking"
      :several="view.pin.otherSets.length > 0"
      @choose="$emit('choose', $event)"
      @stack="$emit('stack')"
      @sets="$emit('sets')"
    />
    <TurnBar
      class="turn"
      :view="view"
      :stage="stage"
      :turn-deg="turnDeg"
      @turn="$emit('turn', $event)"
      @point="turnTo"
    />
  </div>
</template>

<style scoped>
.screw-stage {
  height: 100%;
  display: grid;
  grid-template: minmax(0, 1fr) auto auto auto / 178px minmax(0, 1fr);
}
.clock {
  padding: 10px 12px 4px 0;
  min-height: 0;
}
.aims {
  grid-column: 1 / -1;
  border-top: 1px solid var(--line);
  padding: 8px 20px 4px;
}
.aims p {
  font-size: 15px;
  line-height: 1.3;
  color: var(--ink2);
  padding-bottom: 4px;
}
.aims b {
  font: 600 18px/1.2 var(--figures);
  color: var(--ink);
  margin-right: 10px;
}
.fan {
  grid-column: 1 / -1;
  border-top: 1px solid var(--line);
}
.turn {
  grid-column: 1 / -1;
}
@media (max-width: 700px) {
  .screw-stage {
    grid-template: auto auto auto / 1fr;
    height: auto;
  }
  .left {
    order: 4;
  }
  .clock {
    height: clamp(150px, 100cqh, 300px);
    padding: 0;
    order: 1;
  }
  .turn {
    order: 2;
  }
  .fan {
    order: 2;
  }
  .aims {
    padding: 6px 16px;
    order: 3;
  }
}
</style>
