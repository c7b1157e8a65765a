<script setup lang="ts">
import { definePageMeta, navigateTo, useHead, useRoute } from '#imports'
import { NuxtLink } from '#components'
import { computed } from 'vue'
import { CAUTIONS, nearestStop, placeWords, setInHand, STEPS, type Stage, stopHere, type Happening } from '~~/core/job'
import AnswerPanel from '../../../components/bench/AnswerPanel.vue'
import AskForm from '../../../components/bench/AskForm.vue'
import BladeAsk from '../../../components/bench/BladeAsk.vue'
import BenchHeader from '../../../components/bench/BenchHeader.vue'
import BenchNotices from '../../../components/bench/BenchNotices.vue'
import BenchStage from '../../../components/bench/BenchStage.vue'
import ClashFacts from '../../../components/bench/ClashFacts.vue'
import FigurePanel from '../../../components/bench/FigurePanel.vue'
import NewerSpecPanel from '../../../components/bench/NewerSpecPanel.vue'
import ClosedPanel from '../../../components/bench/ClosedPanel.vue'
import EvidencePanel from '../../../components/bench/EvidencePanel.vue'
import ReasonsPanel from '../../../components/bench/ReasonsPanel.vue'
import SetsPanel from '../../../components/bench/SetsPanel.vue'
import ShimPanel from '../../../components/bench/ShimPanel.vue'
import SchoolPanel from '../../../components/bench/SchoolPanel.vue'
import SidePanels, { type MoreChoice } from '../../../components/bench/SidePanels.vue'
import StepRail from '../../../components/bench/StepRail.vue'
import UndoPanel from '../../../components/bench/UndoPanel.vue'
import ValveStrip from '../../../components/bench/ValveStrip.vue'
import ValveTabs from '../../../components/bench/ValveTabs.vue'
import WaysPanel from '../../../components/bench/WaysPanel.vue'
import WrenchPanel from '../../../components/bench/WrenchPanel.vue'
import PhotoStrip from '../../../components/machine/PhotoStrip.vue'
import { useBench } from '../../../composables/useBench'
import { useBenchScreen } from '../../../composables/useBenchScreen'
import { useFrameBehind } from '../../../composables/useFrameBehind'
import { useNewerSpec } from '../../../composables/useNewerSpec'
import { useKeys, useShortcutsOn } from '../../../composables/useKeys'
import { useOutboxStore } from '../../../stores/outbox'
import { useSessionStore } from '../../../stores/session'

definePageMeta({ layout: false })
const jobId = Number(useRoute().params.id)
const session = useSessionStore()
const outbox = useOutboxStore()
const bench = useBench(jobId)
const screen = useBenchScreen(bench, jobId)
const { view, next, steps, wanted } = bench
const { panel, blades, stacking, turnDeg } = screen
const newer = useNewerSpec(jobId, () => view.value)
const shortcutsOn = useShortcutsOn()

const WHEEL: Stage = { kind: 'wheel', target: null, feelValveIds: [], cylinderId: null }
/** The pictures follow a frame behind the words: the next instruction is what a hand waits for. */
const shown = useFrameBehind(() =>
  screen.pictured.value && next.value
    ? {
        view: screen.pictured.value,
        stage: screen.without.value === null ? next.value.stage : WHEEL,
        withoutWords: screen.without.value === null ? undefined : 'as if it had not been said',
        strip: screen.strip.value,
        topMm: screen.topMm.value,
      }
    : null,
)

const step = computed(() => next.value?.step ?? 'ready')
const finding = computed(() => step.value === 'find' && screen.isOpen.value)
const cautionKey = computed(() => `cautions-${step.value}` as const)
const acknowledged = computed(() => view.value?.state.confirmed.has(cautionKey.value) ?? true)
const acknowledge = () => screen.record({ type: 'confirmed', payload: { item: cautionKey.value } })
const gate = computed(() => next.value?.requirement ?? null)
const about = computed(() =>
  view.value ? `${view.value.pin.modelName} · ${view.value.pin.machine.owner} · job ${view.value.pin.number}` : '',
)
const refused = computed(() => outbox.refused.filter(w => w.jobId === jobId))
const unplaced = computed(() => view.value?.state.unplaced ?? [])
useHead({ title: () => (view.value ? `${view.value.pin.machine.name}, Wembric` : 'Bench, Wembric') })

function choose(choice: MoreChoice): void {
  if (
    choice === 'log' ||
    choice === 'blade' ||
    choice === 'evidence' ||
    choice === 'reasons' ||
    choice === 'school' ||
    choice === 'sets' ||
    choice === 'wrench' ||
    choice === 'ways' ||
    choice === 'photos'
  )
    panel.value = { kind: choice }
  else if (choice.startsWith('set:')) void screen.record({ type: 'set-chosen', payload: { valveId: choice.slice(4) } })
  else panel.value = { kind: 'ask', asks: choice as 'finding' }
}
function chooseBlades(engravedMm: number[]): void {
  blades.value = engravedMm
  panel.value = { kind: 'keys' }
}
const back = () => {
  panel.value = { kind: 'keys' }
}
const nextValve = () => {
  const ids = screen.strip.value.map(v => v.valveId)
  wanted.value = ids[(ids.indexOf(screen.activeValve.value ?? '') + 1) % ids.length] ?? null
}
const show = (kind: 'more' | 'log' | 'help' | 'evidence' | 'reasons' | 'sets' | 'wrench') => {
  panel.value = panel.value.kind === kind ? { kind: 'keys' } : { kind }
}

useKeys({
  ...Object.fromEntries([1, 2, 3, 4].map(n => [String(n), () => screen.press(n - 1)])),
  'Enter': () =>
    screen.clash.value
      ? false
      : screen.keys.value.length === 1 || screen.keys.value[0]?.happening?.type === 'confirmed'
        ? screen.press(0)
        : false,
  'ArrowLeft': () => screen.chooseBlade(-1),
  'ArrowRight': () => screen.chooseBlade(1),
  '[': () => {
    if (turnDeg.value !== null) turnDeg.value -= 5
  },
  ']': () => {
    if (turnDeg.value !== null) turnDeg.value += 5
  },
  'u': () => screen.undo(),
  'v': nextValve,
  'm': () => show('more'),
  'l': () => show('log'),
  '?': () => show('help'),
  'Escape': back,
  'e': () => (screen.isOpen.value ? show('evidence') : false),
  'w': () => show('reasons'),
  'x': () => (screen.isOpen.value && view.value?.pin.otherSets.length ? show('sets') : false),
  't': () => (screen.isOpen.value ? show('wrench') : false),
  '+': () => {
    if (next.value?.trial) stacking.value = !stacking.value
  },
  'o': () => {
    document.querySelector<HTMLInputElement>('#slot-hour')?.focus()
  },
  's': () => {
    if (next.value?.trial) panel.value = { kind: 'blade' }
  },
  'c': () => (acknowledged.value ? false : acknowledge()),
  'b': () => navigateTo('/'),
  'g': () => {
    if (gate.value && !gate.value.firm && screen.isOpen.value) panel.value = { kind: 'ask', asks: 'reason' }
  },
})
const signOutAndIn = () => navigateTo({ path: '/sign-in', query: { back: `/jobs/${jobId}` } })
const phoneStep = computed(
  () => `${step.value.charAt(0).toUpperCase()}${step.value.slice(1)}, ${STEPS.indexOf(step.value) + 1} of 6`,
)
const stopWords = computed(() => {
  const stop = view.value && nearestStop(view.value)
  return stop && view.value && view.value.position.standing.kind !== 'open'
    ? `${stopHere(view.value) === stop ? 'On' : 'Stop:'} ${placeWords(view.value.pin.spec.engine, stop.place)}, ${Math.round(stop.crankDeg)}°`
    : ''
})
</script>

<template>
  <main v-if="view && next" class="bench">
    <BenchHeader
      :machine="view.pin.machine.name"
      :about="about"
      :head="screen.head.value"
      :revision="`rev ${view.pin.spec.revision}${view.pin.spec.status === 'draft' ? ', draft' : ''}`"
      :saved="screen.saved.value"
      :step-words="phoneStep"
      @help="show('help')"
    />
    <StepRail
      class="rail"
      :steps="steps"
      :caution="CAUTIONS[step]"
      :acknowledged="acknowledged"
      @acknowledge="acknowledge"
    />
    <ValveTabs class="tabs" :valves="screen.strip.value" :active="screen.activeValve.value" @choose="wanted = $event" />
    <section class="stage" aria-label="Engine">
      <BenchStage
        v-if="shown"
        :view="shown.view"
        :stage="shown.stage"
        :without-words="shown.withoutWords"
        :chosen="screen.chosenStack.value"
        :stacking="stacking"
        :turn-deg="turnDeg"
        :top-mm="shown.topMm"
        :strip="shown.strip"
        :stop-words="stopWords"
        @blade="screen.tapBlade($event)"
        @stack="stacking = !stacking"
        @sets="show('sets')"
        @turn="turnDeg = $event"
      />
    </section>
    <aside class="panel" aria-label="Next">
      <h1 v-if="panel.kind !== 'keys'" class="hidden-words">{{ view.pin.machine.name }}</h1>
      <BenchNotices
        :expired="session.expired"
        :unrecorded="bench.unrecorded.value ?? outbox.trouble"
        :to-send="bench.toSend.value"
        :refused="refused"
        :unplaced="unplaced"
        :pin="view.pin"
        :newer="panel.kind === 'newer' ? null : newer"
        @newer="panel = { kind: 'newer' }"
        @sign-in="signOutAndIn"
        @discard="outbox.discard($event)"
        @place="(id, when) => screen.record({ type: 'placed', payload: { eventId: id, when } } as Happening)"
      />
      <ClosedPanel
        v-if="!screen.isOpen.value && panel.kind === 'keys'"
        :state="view.state"
        :job-id="jobId"
        :is-lead="session.isLead"
        @record="screen.record($event)"
      />
      <template v-else-if="panel.kind === 'keys'">
        <AnswerPanel
          v-if="screen.handOver.asked.value"
          :label="screen.handOver.asked.value.label"
          :instruction="screen.handOver.asked.value.instruction"
          :why="screen.handOver.asked.value.why"
          :keys="screen.handOver.asked.value.keys"
          :passable="false"
          data-testid="hand-over"
          @press="screen.press($event)"
        />
        <AnswerPanel
          v-else-if="screen.clash.value"
          label="An answer does not fit"
          :instruction="`These cannot ${screen.clash.value.against.length > 1 ? 'all' : 'both'} be so`"
          why=""
          :keys="screen.clashKeys.value"
          :passable="false"
          @press="screen.press($event)"
          ><ClashFacts :clash="screen.clash.value"
        /></AnswerPanel>
        <AnswerPanel
          v-else
          :label="next.label"
          :instruction="screen.instruction.value"
          :why="next.why"
          :keys="screen.keys.value"
          :passable="gate !== null && !gate.firm && !next.keys.some(k => k.asks === 'reason')"
          @press="screen.press($event)"
          @pass="panel = { kind: 'ask', asks: 'reason' }"
        >
          <p class="why">{{ next.why }}</p>
          <p v-if="next.doubted.length" class="doubted">
            Take back:<button
              v-for="d in next.doubted"
              :key="d.eventId"
              type="button"
              class="quiet"
              @click="screen.retractId(d.eventId)"
            >
              {{ d.words }}
            </button>
          </p>
        </AnswerPanel>
      </template>
      <AskForm
        v-else-if="panel.kind === 'ask'"
        :key="panel.asks"
        :asks="panel.asks"
        :step="step"
        :gate="gate"
        :valve-id="screen.activeValve.value"
        :unit="view.pin.unit"
        :stand-in="session.shop?.isDemo ?? false"
        @done="screen.record($event)"
        @back="back"
      />
      <BladeAsk v-else-if="panel.kind === 'blade'" :set="setInHand(view)" @done="chooseBlades" @back="back" />
      <SetsPanel
        v-else-if="panel.kind === 'sets'"
        :view="view"
        @choose="screen.record({ type: 'blades-taken', payload: { set: $event } })"
        @back="back"
      />
      <WrenchPanel v-else-if="panel.kind === 'wrench'" :view="view" @record="screen.record($event)" @back="back" />
      <WaysPanel v-else-if="panel.kind === 'ways'" :view="view" @record="screen.record($event)" @back="back" />
      <NewerSpecPanel
        v-else-if="panel.kind === 'newer' && newer"
        :view="view"
        :newer="newer"
        @record="screen.record($event)"
        @back="back"
      />
      <FigurePanel
        v-else-if="panel.kind === 'figure' && next.stage.kind === 'figures'"
        :view="view"
        :role="next.stage.role"
        :is-lead="session.isLead"
        @record="screen.record($event)"
        @back="back"
      />
      <ShimPanel
        v-else-if="(panel.kind === 'shim-read' || panel.kind === 'shim-size') && next.stage.kind === 'shims'"
        :view="view"
        :valve-id="next.stage.valveId"
        :kind="panel.kind"
        @record="screen.record($event)"
        @back="back"
      />
      <div v-else-if="panel.kind === 'photos'" class="side photos">
        <h2>
          Photos of this job <button type="button" class="quiet" @click="back">Back <kbd>Esc</kbd></button>
        </h2>
        <PhotoStrip :machine-id="view.pin.machine.id" :job-id="jobId" /><NuxtLink
          class="quiet"
          :to="`/machines/${view.pin.machine.id}`"
          >The machine’s page</NuxtLink
        >
      </div>
      <UndoPanel
        v-else-if="panel.kind === 'undo'"
        :event="panel.event"
        :pin="view.pin"
        @retract="(e, how) => screen.retract(e, how)"
        @back="back"
      />
      <EvidencePanel v-else-if="panel.kind === 'evidence'" :view="view" @record="screen.record($event)" @back="back" />
      <ReasonsPanel
        v-else-if="panel.kind === 'reasons'"
        :view="view"
        :without="screen.without.value"
        @see="screen.without.value = $event"
        @retract="screen.retractId($event)"
        @back="back"
      />
      <SchoolPanel
        v-else-if="panel.kind === 'school'"
        :view="view"
        :favourite="session.shop?.favouriteSchool ?? null"
        @choose="screen.record({ type: 'school-chosen', payload: { school: $event } })"
        @record="screen.record($event)"
        @back="back"
      />
      <SidePanels
        v-else-if="panel.kind === 'more' || panel.kind === 'log' || panel.kind === 'help'"
        :kind="panel.kind"
        :view="view"
        :log="bench.log.value"
        :settable="screen.settable.value"
        :shortcuts-on="shortcutsOn"
        :trying-blade="next.trial !== null"
        @back="back"
        @choose="choose"
        @retract="screen.retract($event)"
        @shortcuts="shortcutsOn = !shortcutsOn"
      />
      <footer v-if="panel.kind === 'keys'" class="foot" :class="{ finding }">
        <p><b>Last</b> {{ screen.evidence.value }}</p>
        <template v-if="finding"
          ><button type="button" class="quiet" title="E" @click="show('evidence')">Something else</button
          ><button type="button" class="quiet" title="W" @click="show('reasons')">Why?</button></template
        >
        <button type="button" class="quiet" @click="show('more')">More <kbd>M</kbd></button>
        <button
          type="button"
          class="quiet"
          :disabled="!bench.lastOwn.value || !screen.isOpen.value"
          data-testid="undo"
          @click="screen.undo()"
        >
          Undo <kbd>U</kbd>
        </button>
      </footer>
      <p v-if="!acknowledged" class="phone-caution">
        <b>!</b> {{ CAUTIONS[step] }} <button type="button" class="link" @click="acknowledge">Understood</button>
      </p>
    </aside>
    <ValveStrip
      v-if="shown"
      class="strip"
      :valves="shown.strip"
      :active="screen.activeValve.value"
      :top-mm="shown.topMm"
      @choose="wanted = $event"
    />
  </main>
  <main v-else class="waiting">
    <template v-if="bench.failed.value"
      ><h1>This job cannot be shown</h1>
      <p>{{ bench.failed.value }}</p>
      <p class="actions">
        <button type="button" class="quiet" @click="bench.load()">Try again</button
        ><NuxtLink class="quiet" to="/">To the Bay</NuxtLink>
      </p></template
    >
    <p v-else role="status">Fetching the job …</p>
  </main>
</template>

<style scoped>
.bench {
  height: 100dvh;
  min-height: 620px;
  display: grid;
  grid-template: 52px minmax(0, 1fr) 168px / 184px minmax(0, 1fr) 384px;
}
.bench > :first-child,
.strip {
  grid-column: 1 / -1;
}
.stage {
  min-width: 0;
  min-height: 0;
  overflow: hidden;
}
.panel {
  background: var(--sheet);
  border-left: 1.5px solid var(--ink);
  padding: 18px 24px 10px;
  display: grid;
  grid-template: auto minmax(172px, auto) auto auto minmax(0, 1fr) / minmax(0, 1fr);
  min-height: 0;
  overflow: auto;
  align-content: start;
  position: relative;
}
.panel > :deep(.notices) {
  grid-row: 1;
}
.panel > :deep(.next) {
  grid-row: 2;
}
.panel > :deep(.keys) {
  grid-row: 3;
}
.panel > :deep(.ask),
.panel > :deep(.side),
.panel > :deep(.undo),
.panel > :deep(.closed) {
  grid-row: 2 / 6;
}
.foot {
  grid-row: 5;
  align-self: end;
  border-top: 1px solid var(--line);
  margin-top: 10px;
  padding-top: 12px;
  display: grid;
  grid-template-columns: minmax(0, 1fr) auto auto;
  gap: 10px;
  align-items: center;
}
.foot p {
  font-size: 15.5px;
  line-height: 1.25;
  color: var(--ink2);
  overflow: hidden;
  display: -webkit-box;
  -webkit-line-clamp: 2;
  line-clamp: 2;
  -webkit-box-orient: vertical;
}
.foot b {
  color: var(--ink);
}
.why {
  font-size: 17px;
  line-height: 22px;
  color: var(--ink2);
  margin: 8px 0 12px;
}
.doubted {
  display: flex;
  flex-wrap: wrap;
  gap: 6px;
  align-items: center;
  margin-top: 6px;
  font: 600 15px/1 var(--figures);
}
.photos {
  grid-row: 2 / 6;
  display: grid;
  gap: 14px;
  align-content: start;
  justify-items: start;
}
.photos h2 {
  font-size: 26px;
  display: flex;
  justify-content: space-between;
  align-items: center;
  justify-self: stretch;
}
.phone-caution,
.tabs {
  display: none !important;
}
.waiting {
  padding: 80px 40px;
  display: grid;
  gap: 14px;
  justify-items: start;
  max-width: 640px;
}
@media (max-width: 1100px) {
  .bench {
    grid-template-columns: 150px minmax(0, 1fr) 340px;
  }
  .panel {
    padding-inline: 16px;
  }
  .foot.finding .quiet {
    padding: 0 4px;
    font-size: 14px;
  }
  .foot.finding kbd {
    display: none;
  }
}
@media (max-height: 790px) and (min-width: 701px) {
  .foot.finding p {
    display: none;
  }
}
/* In Find the foot also leads to what else was seen, and to the reasons. */
.foot.finding {
  grid-template-columns: 1.5fr 0.8fr 1fr 1fr;
  gap: 5px 6px;
  margin-top: 6px;
  padding-top: 5px;
}
.foot.finding p {
  grid-column: 1 / -1;
  -webkit-line-clamp: 1;
  line-clamp: 1;
  line-height: 1.15;
}
.foot.finding .quiet {
  padding: 0 8px;
  font-size: 15px;
  justify-content: center;
  gap: 5px;
  white-space: nowrap;
}
/* A phone: instruction, picture, and the keys always in thumb reach. */
@media (max-width: 700px) {
  .bench {
    display: flex;
    flex-direction: column;
    height: auto;
    min-height: 100dvh;
  }
  .bench > :first-child {
    flex: none;
    height: 52px;
    position: sticky;
    top: 0;
    background: var(--ground);
    z-index: 4;
  }
  .rail,
  .strip {
    display: none !important;
  }
  .tabs {
    display: grid !important;
    flex: none;
    height: 58px;
    order: 1;
  }
  .panel {
    display: contents;
  }
  .panel > :deep(.notices) {
    order: 2;
    margin: 10px 16px 0;
  }
  .panel > :deep(.next) {
    order: 3;
    padding: 14px 16px 12px;
    min-height: 0;
  }
  .panel > :deep(.ask),
  .panel > :deep(.side),
  .panel > :deep(.undo),
  .panel > :deep(.closed) {
    order: 4;
    padding: 14px 16px;
  }
  .stage {
    order: 5;
    overflow: visible;
    flex: 1;
  }
  .phone-caution {
    display: block !important;
    order: 6;
    padding: 8px 16px;
    font-size: 15px;
    line-height: 1.3;
  }
  .phone-caution .link {
    min-height: 30px;
    padding: 2px 0;
  }
  .panel > :deep(.keys) {
    order: 7;
    position: sticky;
    bottom: 61px;
    z-index: 3;
    background: var(--sheet);
    padding: 12px 16px 0;
    border-top: 1px solid var(--ink);
  }
  .foot {
    order: 8;
    align-self: stretch;
    position: sticky;
    bottom: 0;
    z-index: 3;
    background: var(--sheet);
    margin: 0;
    border: 0;
    padding: 8px 16px;
    height: 61px;
    grid-template-columns: minmax(0, 1fr) auto auto;
  }
  .panel:has(.foot.finding) > :deep(.keys) {
    bottom: 86px;
  }
  .foot.finding {
    height: 86px;
    grid-template-columns: 1.5fr 1fr 1fr 1fr;
  }
  .foot.finding .quiet {
    min-height: 48px;
  }
}
</style>
