<script setup lang="ts">
import InputText from 'primevue/inputtext'
import { computed, ref, watch } from 'vue'
import { parseClock, turnBySlot } from '~~/core/adjuster'
import {
  bracketOf,
  clearanceOf,
  gainWords,
  judgeReading,
  type JobView,
  readingIn,
  roundsOf,
  setInHand,
  shiftWords,
  type Stage,
  toolWords,
  turnDoubt,
} from '~~/core/job'
import { countedAsIn, type Stack } from '~~/core/feeler'
import { say } from '~~/core/said'
import { formatLength } from '~~/core/units'
import AimRule from './AimRule.vue'
import BladeFan from './BladeFan.vue'
import SlotClock, { type SlotTry } from './SlotClock.vue'
import VerdictShape from './VerdictShape.vue'
import { tell, t } from '../../words'
import { wordsFor } from '../../utils/errors'

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
const tries = computed<SlotTry[]>(() => {
  const found = readingIn(valve.value, 'as found')
  const side = (verdict: string): SlotTry['side'] =>
    verdict === 'tight' || verdict === 'loose' || verdict === 'in' ? verdict : 'unproved'
  const first = found
    ? [
        {
          deg: onClock(0),
          side: side(judgeReading(props.view.pin, found, valve.value.valveId).verdict),
          words: t('common.as-found'),
        },
      ]
    : []
  // earlier rounds are told beside the dial: a lock moves what an angle means
  return [
    ...first,
    ...valve.value.tries
      .filter(tried => tried.round === valve.value.round)
      .map((tried): SlotTry => {
        const { verdict } = judgeReading(
          props.view.pin,
          { trials: tried.trials, phase: 'before lock' },
          valve.value.valveId,
        )
        const last = tried.trials.at(-1)!
        return {
          deg: onClock(tried.screwDeg),
          side: verdict === 'unproved' ? (last.feel === 'free' ? 'loose' : 'tight') : side(verdict),
          words: `${last.name?.replace(/ \(.*/, '') ?? ''} ${t(`feel.${last.feel}`).toLowerCase()}`,
        }
      }),
  ]
})
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
const stations = computed(() => {
  const order = ['loosen', 'before lock', 'nip', 'torque'] as const
  const here = order.indexOf(props.stage.stage)
  const nm = props.view.pin.spec.engine.torques.locknutNm
  return [
    { name: t('screw-stage.nut-loose'), words: t('screw-stage.note-the-slot') },
    { name: t('screw-stage.before-lock'), words: t('screw-stage.turn-then-feel') },
    { name: t('common.nipped'), words: t('screw-stage.hold-it-still') },
    { name: t('common.torqued'), words: nm === null ? t('screw-stage.firm') : `${nm} N·m` },
  ].map((s, i) => ({ ...s, state: i < here ? 'done' : i === here ? 'here' : 'to come' }))
})
/** The rounds that were locked, the newest last. */
const rounds = computed(() =>
  roundsOf(props.view, valve.value, tell)
    .filter(r => r.torqued || r.nipped)
    .slice(-2),
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
const change = (by: number) => emit('turn', (props.turnDeg ?? 0) + by)
/**
 * The turn that brings the slot to a place on the clock: of those that look alike, the one nearest to what was asked.
 */
const turnTo = (clockDeg: number) =>
  emit(
    'turn',
    Math.round(turnBySlot(onClock(valve.value.screwDeg), clockDeg, props.stage.askedDeg ?? 0, adjuster.value.head)),
  )
const hour = ref('')
const wrong = ref('')
watch(
  () => props.view.state,
  () => {
    hour.value = ''
    wrong.value = ''
  },
)
function point(): void {
  wrong.value = ''
  try {
    turnTo(parseClock(hour.value))
    // the answer keys take over again
    if (document.activeElement instanceof HTMLElement) document.activeElement.blur()
  } catch (error) {
    wrong.value = wordsFor(error)
  }
}
</script>

<template>
  <div class="screw-stage">
    <div class="left">
      <ol class="stations">
        <li v-for="s in stations" :key="s.name" :class="s.state">
          <b>{{ s.name }}</b><span>{{ s.words }}</span>
        </li>
      </ol>
      <ol v-if="rounds.length" class="rounds" :aria-label="t('screw-stage.rounds-so-far')">
        <li v-for="r in rounds" :key="r.round">
          <b>{{ t('screw-stage.round', { round: r.round }) }} <VerdictShape :verdict="r.verdict" /></b
          ><span>{{
            r.torqued ? t('screw-stage.torqued', { torqued: r.torqued }) : t('screw-stage.nipped', { nipped: r.nipped })
          }}</span>
        </li>
      </ol>
    </div>
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
    <div class="turn">
      <template v-if="turnDeg !== null">
        <span class="words"
          >{{ tell(say('turn.flats', { deg: turnDeg }))
          }}<template v-if="stage.turn">, {{ tell(turnDoubt(stage.turn)) }}</template></span
        >
        <button type="button" class="quiet" :aria-label="t('screw-stage.5-degrees-less-clockwise')" @click="change(-5)">
          −5° <kbd>[</kbd>
        </button>
        <output class="figures">{{ turnDeg > 0 ? '+' : '' }}{{ turnDeg }}°</output>
        <button type="button" class="quiet" :aria-label="t('screw-stage.5-degrees-more-clockwise')" @click="change(5)">
          +5° <kbd>]</kbd>
        </button>
        <form class="hour" @submit.prevent="point">
          <label for="slot-hour">{{
            t('screw-stage.at', { head: adjuster.head === 'slot' ? t('screw-stage.slot') : t('screw-stage.mark') })
          }}</label><InputText
            id="slot-hour"
            v-model="hour"
            placeholder="2:30"
            autocomplete="off"
            :invalid="!!wrong"
            aria-describedby="slot-wrong"
            @change="hour && point()"
          />
        </form>
        <p v-if="wrong" id="slot-wrong" class="wrong" role="alert">{{ wrong }}</p>
      </template>
      <span v-else class="words"
        >{{ tell(say('said.capital', { of: toolWords(adjuster) })) }}. {{ view.pin.spec.engine.tools }}.
        {{ tell(gainWords(adjuster)) }}</span
      >
    </div>
  </div>
</template>

<style scoped>
.screw-stage {
  height: 100%;
  display: grid;
  grid-template: minmax(0, 1fr) auto auto auto / 178px minmax(0, 1fr);
}
.left {
  display: grid;
  align-content: start;
  min-height: 0;
  overflow: hidden;
}
.stations {
  list-style: none;
  margin: 0;
  padding: 20px 0 0 20px;
  display: grid;
  align-content: start;
  gap: 0;
}
.stations li {
  position: relative;
  padding: 0 0 14px 34px;
  display: grid;
  color: var(--ink2);
  font-size: 15px;
  line-height: 1.25;
}
.stations li::before {
  content: '';
  position: absolute;
  left: 2px;
  top: 2px;
  width: 18px;
  height: 18px;
  border-radius: 50%;
  border: 2px solid var(--edge);
  background: var(--ground);
}
.stations li:not(:last-child)::after {
  content: '';
  position: absolute;
  left: 12px;
  top: 24px;
  bottom: 0;
  border-left: 2px solid var(--edge);
}
.stations b {
  font: 600 18px/1.2 var(--figures);
  color: var(--ink);
}
.stations .here b {
  color: var(--petrol);
}
.stations .here::before {
  border: 6px solid var(--petrol);
}
.stations .done::before {
  background: var(--petrol);
  border-color: var(--petrol);
}
.rounds {
  list-style: none;
  margin: 0;
  padding: 4px 0 0 20px;
  display: grid;
  gap: 6px;
}
.rounds li {
  display: grid;
  font-size: 14.5px;
  line-height: 1.25;
  color: var(--ink2);
}
.rounds b {
  display: flex;
  gap: 6px;
  align-items: center;
  font: 600 16px/1.2 var(--figures);
  color: var(--ink);
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
  border-top: 1px solid var(--line);
  display: flex;
  flex-wrap: wrap;
  align-items: center;
  gap: 6px 10px;
  padding: 7px 20px;
  min-height: 58px;
}
.words {
  font: 500 16px/1.25 var(--figures);
  color: var(--ink2);
  margin-right: auto;
}
output {
  font-size: 22px;
  font-weight: 700;
  min-width: 60px;
  text-align: center;
  color: var(--petrol);
}
.hour {
  display: flex;
  gap: 6px;
  align-items: center;
  font: 600 15.5px/1 var(--figures);
}
.hour input {
  width: 74px;
  min-height: 44px;
  font-size: 17px;
}
.wrong {
  flex-basis: 100%;
}
@media (max-width: 700px) {
  .screw-stage {
    grid-template: auto auto auto / 1fr;
    height: auto;
  }
  .stations {
    display: none;
  }
  .left {
    order: 4;
  }
  .rounds {
    padding: 8px 16px;
  }
  .clock {
    height: 224px;
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
  .turn {
    padding: 6px 16px;
    gap: 8px;
  }
  .words {
    flex-basis: 100%;
  }
}
</style>
