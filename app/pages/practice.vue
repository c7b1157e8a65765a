<script setup lang="ts">
import { useIntervalFn } from '@vueuse/core'
import ToggleSwitch from 'primevue/toggleswitch'
import { computed, onMounted, ref } from 'vue'
import { definePageMeta, useHead, useRoute } from '#imports'
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
import GlossedText from '../components/shell/GlossedText.vue'
import { useHandSounds } from '../composables/useHandSounds'
import { useKeys } from '../composables/useKeys'
import type { Tool } from '../composables/usePractice'
import { usePracticeScreen } from '../composables/usePracticeScreen'
import { usePracticeShelf } from '../composables/usePracticeShelf'
import { useSessionStore } from '../stores/session'
import { t, tell } from '../words'

definePageMeta({ words: ['practice'] })
useHead({ title: t('page-practice.practice-wembric') })
const screen = usePracticeScreen()
const { run, crankDeg, tool, valveId, bladesMm, bladeIn, marked, rules, engine, next, leads, told } = screen
const { version, seconds, steps, running, done, panel, stageNow, moves, least, toolWords, cylinderId } = screen
const { begin, leave, turn, letGo, press, work, hint, bladeFelt } = screen
const shelf = usePracticeShelf()
const sounds = useHandSounds()
const session = useSessionStore()
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

/** A drill is against the clock, which is shown. */
const nowMs = ref(Date.now())
useIntervalFn(() => (nowMs.value = Date.now()), 1000)
const clock = computed(() => {
  if (!run.value?.start.drill) return ''
  const s = Math.max(0, Math.round((nowMs.value - screen.startedMs.value) / 1000))
  return `${Math.floor(s / 60)}:${String(s % 60).padStart(2, '0')}`
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
    v-model:sounds="sounds.on.value"
    :engines="[...PRACTICE_ENGINES]"
    :own="shelf.own.value"
    :best="shelf.best.value"
    :runs="shelf.over.value"
    :own-id="session.person?.id ?? 0"
    :failed="shelf.failed.value"
    @find="shelf.q.value = $event"
    @begin="begin({ ...$event, seed: seedNow() })"
  />
  <main v-else class="bench" :class="{ marked }" @keydown="keyed">
    <h1 v-if="marked" class="hidden-words">{{ t('page-practice.practice-on-the', { name: run.start.kind.name }) }}</h1>
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
        <label for="sounds"
          ><ToggleSwitch v-model="sounds.on.value" input-id="sounds" />
          {{ t('page-practice.sound-and-shaking') }}</label
        >
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
          :clock="clock"
          @hint="hint()"
          @hand-over="handOver"
        />
      </template>
    </aside>
    <MovesStrip
      class="strip"
      :moves="moves"
      :least="least"
      :at="stageNow"
      :marked="marked?.stages ?? null"
      :drill="run.start.drill"
    />
  </main>
</template>

<style scoped src="../components/practice/practice-layout.css" />
