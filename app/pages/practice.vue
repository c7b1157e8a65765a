<script setup lang="ts">
import { useHead, useRoute } from '#imports'
import { computed, onMounted, ref } from 'vue'
import { type Act, drawEngine, PRACTICE_ENGINES, practiceEngineAbout } from '~~/core/practice'
import AnswerPanel from '../components/bench/AnswerPanel.vue'
import CallIt from '../components/practice/CallIt.vue'
import HandedOver from '../components/practice/HandedOver.vue'
import HandTools from '../components/practice/HandTools.vue'
import LiveWindow from '../components/practice/LiveWindow.vue'
import MarksView from '../components/practice/MarksView.vue'
import MovesStrip from '../components/practice/MovesStrip.vue'
import PracticeEngine from '../components/practice/PracticeEngine.vue'
import PracticeFoot from '../components/practice/PracticeFoot.vue'
import StartChoice from '../components/practice/StartChoice.vue'
import ToolRail from '../components/practice/ToolRail.vue'
import { useHandSounds } from '../composables/useHandSounds'
import { useKeys } from '../composables/useKeys'
import type { Tool } from '../composables/usePractice'
import { usePracticeScreen } from '../composables/usePracticeScreen'
import { usePracticeShelf } from '../composables/usePracticeShelf'
import { t, tell } from '../words'
import GlossedText from '../components/shell/GlossedText.vue'

useHead({ title: t('page-practice.practice-wembric') })
const screen = usePracticeScreen()
const { run, crankDeg, tool, valveId, bladesMm, bladeIn, marked, rules, engine, next, leads, told } = screen
const { version, seconds, steps, running, done, panel, stageNow, moves, least, toolWords, cylinderId } = screen
const { begin, leave, turn, letGo, press, work, hint, bladeFelt } = screen
const shelf = usePracticeShelf()
const sounds = useHandSounds()
const query = useRoute().query
const tools = ref<InstanceType<typeof HandTools> | null>(null)
const marks = ref<InstanceType<typeof MarksView> | null>(null)

const seedNow = () => Math.floor(Math.random() * 2_000_000_000) + 1
/** A robot's seed in the address opens that very engine. */
onMounted(() => {
  const seed = Number(query.seed)
  if (!Number.isInteger(seed) || seed < 1) return
  const { kind } = drawEngine(seed, typeof query.kind === 'string' ? query.kind : undefined)
  const level = Number(query.level)
  if (level >= 1 && level <= 4) begin({ kind, level: level as 1, seed, guidance: 'on' })
  else begin({ kind, level: 1, seed, guidance: 'on', robot: true })
})

async function handOver(): Promise<void> {
  if (!run.value) return
  screen.finish()
  await shelf.handOver(run.value.start, seconds.value, run.value.acts)
}
const callIt = (verdict: 'in' | 'tight' | 'loose') => work({ kind: 'verdict', valveId: valveId.value, verdict })
const called = computed(() => {
  const a = run.value?.acts.findLast((x: Act) => x.kind === 'verdict' && x.valveId === valveId.value)
  return a?.kind === 'verdict' ? a.verdict : null
})

const take = (t: Tool) => {
  tool.value = t
}
const TAKES: Record<string, Tool> = { c: 'crank', w: 'window', r: 'rockers', d: 'rod', b: 'blade', x: 'screw' }
useKeys({
  ...Object.fromEntries([1, 2, 3, 4].map(n => [String(n), () => running() && press(n - 1)])),
  ...Object.fromEntries(Object.entries(TAKES).map(([key, t]) => [key, () => running() && take(t)])),
  'ArrowRight': () => (running() ? turn(2) : marks.value ? marks.value.go(1) : false),
  'ArrowLeft': () => (running() ? turn(-2) : marks.value ? marks.value.go(-1) : false),
  'PageDown': () => (running() ? turn(90) : false),
  's': () => (running() && tool.value === 'blade' ? tools.value?.slide() : false),
  ' ': () => (running() && tool.value === 'rockers' ? tools.value?.wiggle() : false),
  'h': () => running() && hint(),
})
function keyed(event: KeyboardEvent): void {
  if (event.shiftKey && running() && (event.key === 'ArrowRight' || event.key === 'ArrowLeft'))
    turn(event.key === 'ArrowRight' ? 8 : -8)
}
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
    <h1 class="hidden-words">{{ t('page-practice.practice-on-the', { name: run.start.kind.name }) }}</h1>
    <ToolRail :tool="tool" :words="toolWords" @take="take">
      <div class="about">
        <p>
          <b>{{ run.start.kind.name }}</b>{{ tell(practiceEngineAbout(run.start.kind)) }}
        </p>
        <p>
          <b>{{
            run.start.robot
              ? t('page-practice.robots-engine', { seed: run.start.seed })
              : t('page-practice.level-of-4', { level: rules.level })
          }}</b>{{ t(`practice-level.${rules.level}`) }}
        </p>
        <label><input v-model="sounds.on.value" type="checkbox" /> {{ t('page-practice.sound-and-shaking') }}</label>
      </div>
    </ToolRail>
    <section v-if="marked" class="stage">
      <MarksView ref="marks" :marked="marked" :steps="steps" />
    </section>
    <section v-else class="stage two" :aria-label="t('common.engine')">
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
          :felt="bladeFelt"
          :blade-in="bladeIn"
          :version="version"
          @act="work"
          @turn="turn"
          @valve="valveId = $event"
          @blades="bladesMm = $event"
          @in="bladeIn = $event"
          @heard="sounds.play"
        />
      </div>
    </section>
    <aside class="panel" :aria-label="t('common.next')">
      <HandedOver
        v-if="marked"
        :marked="marked"
        :seconds="seconds"
        :kept="shelf.kept.value"
        @again="begin({ ...run.start })"
        @another="begin({ ...run.start, robot: false, seed: seedNow() })"
        @leave="leave()"
      />
      <template v-else>
        <AnswerPanel
          :label="panel.label"
          :instruction="panel.instruction"
          :why="panel.why"
          :keys="panel.keys.slice(0, 6)"
          :passable="false"
          @press="press"
          ><p class="why"><GlossedText :text="tell(panel.why)" /></p>
          <p v-if="told" class="wrong" role="alert">{{ told }}</p></AnswerPanel
        >
        <CallIt v-if="!leads && tool === 'blade'" :called="called" @call="callIt" />
        <PracticeFoot
          :said="run.acts.some(a => a.kind === 'said')"
          :hints="!leads && run.start.guidance === 'on demand'"
          :done="done"
          @hint="hint()"
          @hand-over="handOver"
        />
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
.why {
  font-size: 17px;
  line-height: 22px;
  color: var(--ink2);
}
.panel :deep(h1) + .why {
  margin-top: 8px;
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
