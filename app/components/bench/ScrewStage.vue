<script setup lang="ts">
import { computed } from 'vue'
import { judgeReading, type JobView, readingIn, type Stage } from '~~/core/job'
import { flatsWords, clearanceOf } from '~~/core/job'
import { judge } from '~~/core/feeler'
import SlotClock, { type SlotTry } from './SlotClock.vue'

/** Set: the slot as a clock, the way through the lock, and the turn, which may be changed before it is recorded. */
const props = defineProps<{ view: JobView, stage: Extract<Stage, { kind: 'screw' }>, turnDeg: number | null }>()
const emit = defineEmits<{ turn: [deg: number] }>()
const valve = computed(() => props.view.state.valves.find(v => v.valveId === props.stage.valveId)!)
const tries = computed<SlotTry[]>(() => {
  const found = readingIn(valve.value, 'as found')
  const side = (verdict: string): SlotTry['side'] => verdict === 'tight' || verdict === 'loose' || verdict === 'in' ? verdict : 'unproved'
  const first = found ? [{ deg: 0, side: side(judgeReading(props.view.pin, found, valve.value.valveId).verdict), words: 'As found' }] : []
  return [...first, ...valve.value.tries.map((t): SlotTry => {
    const verdict = judge(t.trials, clearanceOf(props.view.pin, valve.value.valveId), { hand: props.view.pin.hand }).verdict
    const last = t.trials.at(-1)!
    return { deg: t.screwDeg, side: verdict === 'unproved' ? (last.feel === 'free' ? 'loose' : 'tight') : side(verdict), words: `${last.bladesMm[0]?.toFixed(2)} ${last.feel}` }
  })]
})
const stations = computed(() => {
  const order = ['loosen', 'before lock', 'nip', 'torque'] as const
  const here = order.indexOf(props.stage.stage)
  const nm = props.view.pin.spec.engine.torques.locknutNm
  return [
    { name: 'Nut free', words: 'note the slot' }, { name: 'Before lock', words: 'turn, then feel' },
    { name: 'Nipped', words: 'hold the screw' }, { name: 'Torqued', words: nm === null ? 'firm' : `${nm} N·m, blade out` },
  ].map((s, i) => ({ ...s, state: i < here ? 'done' : i === here ? 'here' : 'to come' }))
})
const change = (by: number) => emit('turn', (props.turnDeg ?? 0) + by)
</script>

<template>
  <div class="screw-stage">
    <ol class="stations">
      <li v-for="s in stations" :key="s.name" :class="s.state"><b>{{ s.name }}</b><span>{{ s.words }}</span></li>
    </ol>
    <SlotClock class="clock" :slot-deg="valve.screwDeg" :turn-deg="turnDeg" :tries="tries" :head="view.pin.spec.engine.adjuster.head" />
    <div class="turn">
      <template v-if="turnDeg !== null">
        <span class="words">{{ flatsWords(turnDeg) }} of the nut. Turned it otherwise?</span>
        <button type="button" class="quiet" aria-label="5 degrees less clockwise" @click="change(-5)">−5° <kbd>[</kbd></button>
        <output class="figures">{{ turnDeg > 0 ? '+' : '' }}{{ turnDeg }}°</output>
        <button type="button" class="quiet" aria-label="5 degrees more clockwise" @click="change(5)">+5° <kbd>]</kbd></button>
      </template>
      <span v-else class="words">{{ view.pin.spec.engine.tools }}</span>
    </div>
  </div>
</template>

<style scoped>
.screw-stage { height: 100%; display: grid; grid-template: minmax(0, 1fr) auto / 178px minmax(0, 1fr); }
.stations { list-style: none; margin: 0; padding: 24px 0 0 20px; display: grid; align-content: start; gap: 0; }
.stations li { position: relative; padding: 0 0 22px 34px; display: grid; color: var(--ink2); font-size: 15px; }
.stations li::before { content: ''; position: absolute; left: 2px; top: 2px; width: 18px; height: 18px; border-radius: 50%; border: 2px solid var(--edge); background: var(--ground); }
.stations li:not(:last-child)::after { content: ''; position: absolute; left: 12px; top: 24px; bottom: 0; border-left: 2px solid var(--edge); }
.stations b { font: 600 18px/1.2 var(--figures); color: var(--ink); }
.stations .here b { color: var(--petrol); }
.stations .here::before { border: 6px solid var(--petrol); }
.stations .done::before { background: var(--petrol); border-color: var(--petrol); }
.clock { padding: 14px 12px 6px 0; min-height: 0; }
.turn { grid-column: 1 / -1; border-top: 1px solid var(--line); display: flex; align-items: center; gap: 12px; padding: 8px 20px; min-height: 60px; }
.words { font: 500 16px/1.25 var(--figures); color: var(--ink2); margin-right: auto; }
output { font-size: 22px; font-weight: 700; min-width: 64px; text-align: center; color: var(--petrol); }
@media (max-width: 700px) {
  .screw-stage { grid-template: auto auto / 1fr; height: auto; } .stations { display: none; }
  .clock { height: 260px; padding: 0; } .turn { flex-wrap: wrap; padding: 6px 16px; gap: 8px; } .words { flex-basis: 100%; }
}
</style>
