<script setup lang="ts">
import { useHead, useRoute } from '#imports'
import { computed, onMounted, ref, shallowRef, watch } from 'vue'
import type { AnswerKey } from '~~/core/job'
import {
  type Act,
  leastAnswers,
  type MarkedStage,
  MARKED_STAGES,
  PRACTICE_ENGINES,
  type PracticeStart,
  feelOf,
  marksSeen,
  drawEngine,
} from '~~/core/practice'
import AnswerPanel from '../components/bench/AnswerPanel.vue'
import HandTools from '../components/practice/HandTools.vue'
import LiveWindow from '../components/practice/LiveWindow.vue'
import MarksView from '../components/practice/MarksView.vue'
import MovesStrip from '../components/practice/MovesStrip.vue'
import { ownWords } from '../components/practice/own-words'
import PracticeEngine from '../components/practice/PracticeEngine.vue'
import StartChoice from '../components/practice/StartChoice.vue'
import ToolRail from '../components/practice/ToolRail.vue'
import { useHandSounds } from '../composables/useHandSounds'
import { useKeys } from '../composables/useKeys'
import { type Tool, usePractice } from '../composables/usePractice'
import { usePracticeShelf } from '../composables/usePracticeShelf'

useHead({ title: 'Practice, Wembric' })
const practice = usePractice()
const { run, crankDeg, tool, valveId, bladesMm, bladeIn, marked, rules, engine, next, leads, told } = practice
const shelf = usePracticeShelf()
const sounds = useHandSounds()
const query = useRoute().query
const NONE: Record<MarkedStage, number> = { find: 0, measure: 0, set: 0, prove: 0 }
const least = shallowRef(NONE)
const tools = ref<InstanceType<typeof HandTools> | null>(null)
const marks = ref<InstanceType<typeof MarksView> | null>(null)

function begin(start: PracticeStart): void {
  practice.begin(start)
  least.value = NONE
  // a robot's whole job: it may wait until the engine is on the screen
  setTimeout(() => {
    least.value = leastAnswers(start)
  }, 50)
}
const seedNow = () => Math.floor(Math.random() * 2_000_000_000) + 1
/** A robot's seed in the address opens that very engine. */
onMounted(() => {
  const seed = Number(query.seed)
  if (!Number.isInteger(seed) || seed < 1) return
  const drawn = drawEngine(seed, typeof query.kind === 'string' ? query.kind : undefined)
  const level = Number(query.level)
  if (level >= 1 && level <= 4) begin({ kind: drawn.kind, level: level as 1, seed, guidance: 'on' })
  else begin({ kind: drawn.kind, level: 1, seed, guidance: 'on', robot: true })
})

let settling: ReturnType<typeof setTimeout> | undefined
function turn(deg: number): void {
  if (bladeIn.value || !run.value || marked.value) return
  practice.work({ kind: 'turn', deg })
  clearTimeout(settling)
  settling = setTimeout(letGo, 450)
}
/** Past compression it kicks on by itself when it is let go. */
function letGo(): void {
  clearTimeout(settling)
  if (!run.value || marked.value || bladeIn.value) return
  const kick = feelOf(run.value.drawn.virtual, { kind: 'crank' }).kickDeg
  if (kick > 0) practice.work({ kind: 'turn', deg: kick })
}
const cylinderId = computed(() => engine.value?.valves.find(v => v.id === valveId.value)?.cylinderId ?? '')
const virtual = computed(() => run.value?.drawn.virtual ?? null)
const downMm = computed(() => {
  void crankDeg.value
  return virtual.value && cylinderId.value
    ? feelOf(virtual.value, { kind: 'rod', cylinderId: cylinderId.value }).belowTopMm
    : 0
})
const own = computed(() =>
  run.value && engine.value && rules.value
    ? ownWords(engine.value, tool.value, valveId.value, {
        turnedDeg: (void practice.version.value, run.value.turnedDeg),
        sinceLockDeg: run.value.sinceLockDeg,
        window: rules.value.window,
        rod: rules.value.rod,
        downMm: downMm.value,
      })
    : null,
)

const done = computed(() => next.value?.step === 'close')
const FEEL_KEYS: AnswerKey[] = [
  ['Free', 'slides with room to spare'],
  ['Drag', 'light, even tug'],
  ['Pinched', 'goes in, but is held'],
  ['No-go', 'will not enter'],
].map(([title, help]) => ({ title: title!, help: help!, happening: null, asks: null }))
/**
 * The keys that can be answered here: what opens a form on the Bench has no place at a practice engine, but for a shim
 * that is read.
 */
const led = computed(() => next.value?.keys.filter(k => k.happening || k.asks === 'shim-read') ?? [])
const cold = computed(() => next.value?.stage.kind === 'cold')
const panel = computed(() => {
  if (done.value)
    return {
      label: 'All of it done',
      instruction: 'Hand the engine over',
      why: 'It is marked with the truth beside what you said.',
      keys: [] as AnswerKey[],
    }
  if (leads.value && cold.value)
    return {
      label: 'Before anything',
      instruction: 'How warm is the head?',
      why: next.value!.why,
      keys: [
        { title: 'Thermometer on it', help: 'read it', happening: null, asks: null },
        { title: 'Let it stand an hour', help: 'then read again', happening: null, asks: null },
      ] as AnswerKey[],
    }
  if (leads.value && next.value)
    return { label: next.value.label, instruction: next.value.instruction, why: next.value.why, keys: led.value }
  const words = own.value!
  return { ...words, keys: tool.value === 'blade' ? FEEL_KEYS : words.keys }
})
function press(index: number): void {
  if (!run.value || done.value) return
  if (leads.value && cold.value) {
    if (index === 1) practice.work({ kind: 'wait', hours: 1 })
    practice.work({ kind: 'warmth' })
    return
  }
  if (!leads.value && tool.value === 'blade') return practice.sayFeel(practice.FEELS[index]!)
  const key = panel.value.keys[index]
  if (key?.asks === 'shim-read')
    return practice.say({
      type: 'shim-read',
      payload: {
        valveId: 'valveId' in next.value!.stage ? next.value!.stage.valveId : valveId.value,
        engravedMm: 1,
        measuredMm: 1,
      },
    })
  if (key?.happening) practice.say(key.happening)
}
/** Where the Bench leads, it hands over the tool that its next thing wants, once for each thing asked. */
watch([() => run.value?.log.length, () => run.value?.start, leads, () => next.value?.instruction], () => {
  const thing = next.value
  if (!thing || !run.value || !leads.value) return
  if (thing.trial) {
    valveId.value = thing.trial.valveId
    const { after, stack } = thing.trial
    if (after !== null && run.value.sinceTrial[thing.trial.valveId]?.kind !== after.kind) tool.value = 'screw'
    else tool.value = 'blade'
    if (JSON.stringify(bladesMm.value) !== JSON.stringify(stack.engravedMm)) bladesMm.value = stack.engravedMm
  } else if (thing.stage.kind === 'wheel') {
    tool.value = thing.stage.feelValveIds.length
      ? 'rockers'
      : rules.value?.window === false ||
          thing.stage.target?.kind === 'rod-drop' ||
          thing.stage.target?.kind === 'piston-top'
        ? 'rod'
        : 'crank'
    valveId.value =
      thing.stage.feelValveIds[0] ??
      engine.value!.valves.find(v => v.cylinderId === (thing.stage as { cylinderId: string | null }).cylinderId)?.id ??
      valveId.value
  } else if ('valveId' in thing.stage) valveId.value = thing.stage.valveId
})

const stageNow = computed<MarkedStage | null>(() => {
  const step = next.value?.step
  return marked.value ? null : (MARKED_STAGES.find(s => s === step) ?? (step === 'close' ? 'prove' : 'find'))
})
const moves = ref({ ...NONE })
watch(run, r => {
  if (r && r.acts.length === 0) moves.value = { ...NONE }
})
function counted(index: number): void {
  const at = stageNow.value
  const before = run.value?.log.length ?? 0
  press(index)
  if (at && (run.value?.log.length ?? 0) > before) moves.value = { ...moves.value, [at]: moves.value[at] + 1 }
}
const toolWords = computed<Record<Tool, string>>(() => {
  void practice.version.value
  if (!run.value || !virtual.value || !rules.value)
    return { crank: '', window: '', rockers: '', rod: '', blade: '', screw: '' }
  const line = marksSeen(virtual.value).find(m => m.atPointer)
  return {
    crank: bladeIn.value ? 'held by the blade' : '← → or drag',
    window: !rules.value.window ? 'covered' : line ? `line at ${line.letter}` : 'no line at it',
    rockers: `${run.value.wiggled.size} felt here`,
    rod: !rules.value.rod
      ? 'not on this level'
      : feelOf(virtual.value, { kind: 'rod', cylinderId: cylinderId.value }).words,
    blade: bladeIn.value ? 'in the gap' : `${bladesMm.value.map(b => b.toFixed(2)).join(' + ')} in hand`,
    screw: `nut ${virtual.value.nuts[valveId.value]}`,
  }
})
const lastSaid = computed(() =>
  run.value?.acts.findLast(a => a.kind === 'said') ? 'Marked at the end, not now.' : 'Nothing said yet.',
)

async function handOver(): Promise<void> {
  if (!run.value) return
  practice.finish()
  await shelf.handOver(run.value.start, practice.seconds.value, run.value.acts)
}
const time = computed(
  () => `${Math.floor(practice.seconds.value / 60)}:${String(practice.seconds.value % 60).padStart(2, '0')}`,
)
const take = (t: Tool) => {
  tool.value = t
}
const running = () => run.value !== null && marked.value === null
useKeys({
  ...Object.fromEntries([1, 2, 3, 4].map(n => [String(n), () => running() && counted(n - 1)])),
  'ArrowRight': () => (running() ? turn(2) : marks.value ? marks.value.go(1) : false),
  'ArrowLeft': () => (running() ? turn(-2) : marks.value ? marks.value.go(-1) : false),
  'PageDown': () => (running() ? turn(90) : false),
  'c': () => running() && take('crank'),
  'w': () => running() && take('window'),
  'r': () => running() && take('rockers'),
  'd': () => running() && take('rod'),
  'b': () => running() && take('blade'),
  'x': () => running() && take('screw'),
  's': () => (running() && tool.value === 'blade' ? tools.value?.slide() : false),
  ' ': () => (running() && tool.value === 'rockers' ? tools.value?.wiggle() : false),
  'h': () => running() && practice.hint(),
})
function keyed(event: KeyboardEvent): void {
  if (event.shiftKey && running() && (event.key === 'ArrowRight' || event.key === 'ArrowLeft')) {
    turn(event.key === 'ArrowRight' ? 8 : -8)
  }
}
const verdict = (v: 'in' | 'tight' | 'loose') => practice.work({ kind: 'verdict', valveId: valveId.value, verdict: v })
const called = computed(() => {
  const a = run.value?.acts.findLast((x: Act) => x.kind === 'verdict' && x.valveId === valveId.value)
  return a?.kind === 'verdict' ? a.verdict : null
})
</script>

<template>
  <StartChoice
    v-if="!run || !rules || !engine"
    :engines="[...PRACTICE_ENGINES]"
    :own="shelf.own.value"
    :best="shelf.best.value"
    :failed="shelf.failed.value"
    @find="shelf.q.value = $event"
    @begin="begin({ ...$event, seed: seedNow() })"
  />
  <main v-else class="bench" @keydown="keyed">
    <h1 class="hidden-words">Practice on the {{ run.start.kind.name }}</h1>
    <ToolRail :tool="tool" :words="toolWords" @take="take">
      <div class="about">
        <p>
          <b>{{ run.start.kind.name }}</b>{{ run.start.kind.about }}
        </p>
        <p>
          <b>{{ run.start.robot ? `Robot’s engine ${run.start.seed}` : `Level ${rules.level} of 4` }}</b>{{
            rules.name
          }}
        </p>
        <label><input v-model="sounds.on.value" type="checkbox" /> Sound and shaking</label>
      </div>
    </ToolRail>
    <section v-if="marked" class="stage">
      <MarksView ref="marks" :marked="marked" :steps="practice.steps.value" />
    </section>
    <section v-else class="stage two" aria-label="Engine">
      <PracticeEngine
        :engine="engine"
        :crank-deg="crankDeg"
        :cylinder-id="cylinderId"
        :open="rules.open"
        :rod="tool === 'rod' && rules.rod"
        :held="bladeIn"
        @turn="turn"
        @let-go="letGo"
      />
      <div class="side" :class="{ busy: tool === 'blade' || tool === 'rockers' || tool === 'screw' }">
        <LiveWindow class="window" :engine="engine" :crank-deg="crankDeg" :covered="!rules.window" />
        <HandTools
          ref="tools"
          :run="run"
          :tool="tool"
          :valve-id="valveId"
          :blades-mm="bladesMm"
          :next="next"
          :leads="leads"
          :rules="rules"
          :crank-deg="crankDeg"
          :felt="practice.bladeFelt"
          :blade-in="bladeIn"
          :version="practice.version.value"
          @act="practice.work"
          @turn="turn"
          @valve="valveId = $event"
          @blades="bladesMm = $event"
          @in="bladeIn = $event"
          @heard="sounds.play"
        />
      </div>
    </section>
    <aside class="panel" aria-label="Next">
      <div v-if="marked" class="handed">
        <p class="label">Handed over in {{ time }}</p>
        <p class="score" data-testid="score">{{ marked.score }} <small>of 100</small></p>
        <p class="why">
          {{ marked.hints ? `${marked.hints} ${marked.hints === 1 ? 'hint' : 'hints'}. ` : ''
          }}{{ marked.marks.filter(m => m.grade !== 'right').length }} marks against it. Right ones need no words.
        </p>
        <p class="why" role="status">{{ shelf.kept.value }}</p>
        <div class="after">
          <button type="button" class="key go" @click="begin({ ...run.start })">The same engine again</button
          ><button type="button" class="key go" @click="begin({ ...run.start, robot: false, seed: seedNow() })">
            Another like it</button
          ><button type="button" class="key go" @click="practice.leave()">Choose anew</button>
        </div>
      </div>
      <template v-else>
        <AnswerPanel
          :label="panel.label"
          :instruction="panel.instruction"
          :why="panel.why"
          :keys="panel.keys.slice(0, 6)"
          :passable="false"
          @press="counted($event)"
          ><p class="why">{{ panel.why }}</p>
          <p v-if="told" class="wrong" role="alert">{{ told }}</p></AnswerPanel
        >
        <div v-if="!leads && tool === 'blade'" class="calls" role="group" aria-label="Call the valve">
          <span>Call it</span
          ><button
            v-for="v in ['in', 'tight', 'loose'] as const"
            :key="v"
            type="button"
            class="quiet"
            :class="{ on: called === v }"
            :aria-pressed="called === v"
            @click="verdict(v)"
          >
            {{ v }}
          </button>
        </div>
        <footer class="foot">
          <p>{{ lastSaid }}</p>
          <button
            v-if="!leads && run.start.guidance === 'on demand'"
            type="button"
            class="quiet"
            data-testid="hint"
            @click="practice.hint()"
          >
            Ask, costs 2 <kbd>H</kbd></button
          ><button type="button" class="quiet" :class="{ ready: done }" data-testid="hand-over" @click="handOver">
            Hand it over
          </button>
        </footer>
      </template>
    </aside>
    <MovesStrip class="strip" :moves="moves" :least="least" :at="stageNow" :marked="marked?.stages ?? null" />
  </main>
</template>

<style scoped>
.bench {
  height: calc(100dvh - 52px);
  min-height: 640px;
  display: grid;
  grid-template: minmax(0, 1fr) 132px / 184px minmax(0, 1fr) 372px;
}
.strip {
  grid-column: 1 / -1;
}
.stage {
  min-width: 0;
  min-height: 0;
}
.two {
  display: grid;
  grid-template-columns: minmax(0, 1fr) 316px;
  gap: 4px;
  padding: 8px 12px 4px 4px;
}
.side {
  display: grid;
  grid-template-rows: 196px minmax(0, 1fr);
  gap: 4px;
  min-height: 0;
  overflow: auto;
}
.window {
  height: 196px;
}
.side.busy {
  grid-template-rows: 112px minmax(0, 1fr);
}
.side.busy .window {
  height: 112px;
}
.panel {
  background: var(--sheet);
  border-left: 1.5px solid var(--ink);
  padding: 18px 22px 10px;
  display: grid;
  grid-template-rows: minmax(150px, auto) auto auto minmax(0, 1fr);
  min-height: 0;
  overflow: auto;
  align-content: start;
  gap: 10px;
}
.panel :deep(.key) {
  height: auto;
  min-height: 60px;
}
.label {
  font: 600 15px/1.2 var(--figures);
  color: var(--petrol);
}
.score {
  font: 700 64px/1 var(--figures);
}
.score small {
  font-size: 22px;
  color: var(--ink2);
}
.why {
  font-size: 17px;
  line-height: 22px;
  color: var(--ink2);
}
.handed {
  display: grid;
  gap: 14px;
  align-content: start;
  grid-row: 1 / -1;
}
.after {
  display: grid;
  gap: 10px;
  align-content: start;
  margin-top: 10px;
}
.panel :deep(h1) + .why {
  margin-top: 8px;
}
.go {
  min-height: 60px;
  place-items: center;
  font: 600 20px/1.1 var(--figures);
}
.calls {
  display: grid;
  grid-template-columns: auto repeat(3, 1fr);
  gap: 6px;
  align-items: center;
  font: 600 16px/1 var(--figures);
}
.calls .quiet {
  justify-content: center;
}
.on {
  border-color: var(--petrol);
  box-shadow: inset 0 -3px 0 var(--petrol);
}
.foot {
  grid-row: 4;
  align-self: end;
  border-top: 1px solid var(--line);
  padding-top: 10px;
  display: grid;
  grid-template-columns: minmax(0, 1fr) auto auto;
  gap: 8px;
  align-items: center;
}
.foot p {
  font-size: 15px;
  line-height: 1.25;
  color: var(--ink2);
}
.ready {
  background: var(--petrol);
  color: var(--on-petrol);
  border-color: var(--petrol);
}
.about {
  margin-top: auto;
  padding: 12px 14px 14px 16px;
  display: grid;
  gap: 8px;
  font-size: 14.5px;
  line-height: 1.25;
  color: var(--ink2);
}
.about b {
  display: block;
  font: 600 16px/1.25 var(--figures);
  color: var(--ink);
}
.about label {
  display: flex;
  gap: 8px;
  align-items: center;
  font: 500 14.5px/1.2 var(--sentences);
  min-height: 30px;
}
@media (max-width: 1100px) {
  .bench {
    grid-template-columns: 150px minmax(0, 1fr) 320px;
  }
  .two {
    grid-template-columns: minmax(0, 1fr) 250px;
  }
  .panel {
    padding-inline: 14px;
  }
}
@media (max-width: 800px) {
  .bench {
    display: block;
    height: auto;
  }
  .two {
    grid-template-columns: 1fr;
  }
  .panel {
    border: 0;
    border-top: 1.5px solid var(--ink);
  }
  .panel > :deep(.keys) {
    position: static;
  }
}
</style>
