<script setup lang="ts">
import { useMediaQuery, useTimeoutFn, useWakeLock } from '@vueuse/core'
import Button from 'primevue/button'
import { computed, useTemplateRef, watch } from 'vue'
import { NuxtLink } from '#components'
import { definePageMeta, navigateTo, useHead, useRoute } from '#imports'
import { type Happening, type JobView, nearestStop, placeWords, type Stage, STEPS, stopHere } from '~~/core/job'
import { say } from '~~/core/said'
import BenchAnswers from '../../../components/bench/BenchAnswers.vue'
import BenchFoot from '../../../components/bench/BenchFoot.vue'
import BenchHeader from '../../../components/bench/BenchHeader.vue'
import BenchNotices from '../../../components/bench/BenchNotices.vue'
import BenchStage from '../../../components/bench/BenchStage.vue'
import ClosedPanel from '../../../components/bench/ClosedPanel.vue'
import StepRail from '../../../components/bench/StepRail.vue'
import ValveStrip from '../../../components/bench/ValveStrip.vue'
import ValveTabs from '../../../components/bench/ValveTabs.vue'
import LoadingRows from '../../../components/shell/LoadingRows.vue'
import { useBench } from '../../../composables/useBench'
import { toggling, useBenchKeys } from '../../../composables/useBenchKeys'
import { useBenchScreen } from '../../../composables/useBenchScreen'
import { useFocusIntoPanel } from '../../../composables/useFocusIntoPanel'
import { useFrameBehind } from '../../../composables/useFrameBehind'
import { useShortcutsOn } from '../../../composables/useKeys'
import { useNewerSpec } from '../../../composables/useNewerSpec'
import { useBig, useStark } from '../../../composables/useOwnScreen'
import { readSidePanels, useSide } from '../../../composables/useSide'
import { useOutboxStore } from '../../../stores/outbox'
import { useSessionStore } from '../../../stores/session'
import { t, tell } from '../../../words'

definePageMeta({ layout: false })
/** After the first question is there to be answered. */
const SIDE_PANELS_AFTER_MS = 1500
const jobId = Number(useRoute().params.id)
const session = useSessionStore()
const outbox = useOutboxStore()
const bench = useBench(jobId)
const screen = useBenchScreen(bench, jobId)
const { view, next, steps, wanted } = bench
const { panel, stacking, turnDeg } = screen
const newer = useNewerSpec(jobId, () => view.value)
const shortcutsOn = useShortcutsOn()
const show = toggling(panel)
const [big, stark] = [useBig(), useStark()]
// a hand in the engine touches no screen: it stays on while a job is worked on
const awake = useWakeLock()
watch(
  () => screen.isOpen.value,
  open => void (open ? awake.request('screen') : awake.release()).catch(() => {}),
  { immediate: true },
)

const WHEEL: Stage = { kind: 'wheel', target: null, feelValveIds: [], cylinderId: null }
/** The pictures follow a frame behind the words: the next instruction is what a hand waits for. */
const shown = useFrameBehind(() =>
  screen.pictured.value && next.value
    ? {
        view: screen.pictured.value,
        stage: screen.without.value === null ? next.value.stage : WHEEL,
        withoutWords: screen.without.value === null ? undefined : t('page-jobs-id.as-if-it-had-not'),
        strip: screen.strip.value,
        topMm: screen.topMm.value,
      }
    : null,
)
const { side, shown: inKeysPlace } = useSide(() =>
  view.value && next.value
    ? {
        view: view.value,
        next: next.value,
        screen,
        log: bench.log.value,
        jobId,
        isLead: session.isLead,
        isDemo: session.shop?.isDemo ?? false,
        favourite: session.shop?.favouriteSchool ?? null,
        newer: newer.value,
        shortcutsOn: shortcutsOn.value,
        toggleShortcuts: () => {
          shortcutsOn.value = !shortcutsOn.value
        },
      }
    : null,
)
useTimeoutFn(readSidePanels, SIDE_PANELS_AFTER_MS)

const step = computed(() => next.value?.step ?? 'ready')
const cautionKey = computed(() => `cautions-${step.value}` as const)
const acknowledged = computed(() => view.value?.state.confirmed.has(cautionKey.value) ?? true)
/** A first job teaches its model what comes off. */
const teaches = ({ pin, state }: JobView) => pin.quick === null && !pin.spec.engine.parts && state.cameOff.length > 0
const acknowledge = () => screen.record({ type: 'confirmed', payload: { item: cautionKey.value } })
useBenchKeys(bench, screen, { acknowledged, acknowledge })
/** On a phone the pictures are scrolled within their part. */
const narrow = useMediaQuery('(max-width: 700px)')
const panelPart = useTemplateRef<HTMLElement>('panelPart')
useFocusIntoPanel(
  () => inKeysPlace.value,
  () => panelPart.value,
)
/** Told to who hears the page: what was recorded, what it comes to, and what is next. It stays while panels change. */
const announced = computed(() =>
  next.value && view.value
    ? [
        screen.evidence.value,
        view.value.state.status === 'closed' ? t('page-jobs-id.closed') : '',
        tell(next.value.instruction),
        tell(next.value.why),
        acknowledged.value ? '' : tell(say(`caution.${step.value}`)),
      ]
        .filter(Boolean)
        .join(' ')
    : '',
)

const about = computed(() =>
  view.value
    ? t('page-jobs-id.job', {
        modelName: view.value.pin.modelName,
        owner: view.value.pin.machine.owner,
        number: view.value.pin.number,
      })
    : '',
)
const phoneStep = computed(() =>
  t('page-jobs-id.step-of', { step: t(`step-rail.${step.value}`), n: STEPS.indexOf(step.value) + 1 }),
)
const stopWords = computed(() => {
  const stop = view.value && nearestStop(view.value)
  return stop && view.value && view.value.position.standing.kind !== 'open'
    ? `${stopHere(view.value) === stop ? t('page-jobs-id.on') : t('page-jobs-id.stop')} ${tell(placeWords(view.value.pin.spec.engine, stop.place))}, ${Math.round(stop.crankDeg)}°`
    : ''
})
const refused = computed(() => outbox.refused.filter(w => w.jobId === jobId))
const signOutAndIn = () => navigateTo({ path: '/sign-in', query: { back: `/jobs/${jobId}` } })
const placed = (eventId: string, when: 'before' | 'after') =>
  screen.record({ type: 'placed', payload: { eventId, when } } as Happening)
useHead({
  title: () =>
    view.value ? t('page-jobs-id.wembric', { name: view.value.pin.machine.name }) : t('page-jobs-id.bench-wembric'),
})
</script>

<template>
  <main v-if="view && next" class="bench">
    <BenchHeader
      :machine="view.pin.machine.name"
      :about="about"
      :head="screen.head.value"
      :revision="
        t('page-jobs-id.rev', {
          revision: view.pin.spec.revision,
          draft: view.pin.spec.status === 'draft',
        })
      "
      :saved="screen.saved.value"
      :step-words="phoneStep"
      :big="big"
      :stark="stark"
      @help="show('help')"
      @big="big = !big"
      @stark="stark = !stark"
    />
    <StepRail
      class="rail"
      :steps="steps"
      :caution="tell(say(`caution.${step}`))"
      :acknowledged="acknowledged"
      @acknowledge="acknowledge"
    />
    <ValveTabs class="tabs" :valves="screen.strip.value" :active="screen.activeValve.value" @choose="wanted = $event" />
    <section class="stage" :aria-label="t('common.engine')" :tabindex="narrow ? 0 : undefined">
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
        :not-so="screen.notSo.value"
        @line="screen.tapLine($event)"
        @record="screen.record($event)"
        @blade="screen.tapBlade($event)"
        @stack="stacking = !stacking"
        @sets="show('sets')"
        @turn="turnDeg = $event"
      />
    </section>
    <aside ref="panelPart" class="panel" :aria-label="t('common.next')">
      <p class="hidden-words" role="status" aria-live="polite">{{ announced }}</p>
      <h1 v-if="inKeysPlace !== 'keys'" class="hidden-words">{{ view.pin.machine.name }}</h1>
      <BenchNotices
        :expired="session.expired"
        :unrecorded="bench.unrecorded.value ?? outbox.trouble"
        :not-opened="panel.kind === 'not-opened' ? null : (outbox.refusedOpening(jobId)?.refused ?? null)"
        :to-send="bench.toSend.value"
        :refused="refused"
        :unplaced="view.state.unplaced"
        :pin="view.pin"
        :newer="panel.kind === 'newer' ? null : newer"
        @newer="panel = { kind: 'newer' }"
        @not-opened="panel = { kind: 'not-opened' }"
        @sign-in="signOutAndIn"
        @discard="outbox.discard($event)"
        @place="placed"
      />
      <ClosedPanel
        v-if="!screen.isOpen.value && inKeysPlace === 'keys'"
        :state="view.state"
        :job-id="jobId"
        :is-lead="session.isLead"
        :keepable="view.pin.quick !== null && view.pin.machine.owner === ''"
        :teaches="teaches(view) ? view.pin.modelId : null"
        @record="screen.record($event)"
      />
      <BenchAnswers
        v-else-if="inKeysPlace === 'keys'"
        :screen="screen"
        :next="next"
        @pass="panel = { kind: 'ask', asks: 'reason' }"
      />
      <component :is="side.is" v-else-if="side" v-bind="side.props" />
      <BenchFoot
        v-if="inKeysPlace === 'keys'"
        :last="screen.evidence.value"
        :finding="step === 'find' && screen.isOpen.value"
        :can-undo="bench.lastOwn.value !== null && screen.isOpen.value"
        @show="show"
        @undo="screen.undo()"
      />
      <p v-if="!acknowledged && screen.isOpen.value && inKeysPlace === 'keys'" class="phone-caution">
        <b>!</b> <span>{{ tell(say(`caution.${step}`)) }}</span>
        <Button link @click="acknowledge">{{ t('step-rail.understood') }}</Button>
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
      ><h1>{{ t('page-jobs-id.this-job-cannot-be-shown') }}</h1>
      <p>{{ bench.failed.value }}</p>
      <p class="actions">
        <Button severity="secondary" outlined @click="bench.load()">{{ t('common.try-again') }}</Button><NuxtLink
          class="quiet"
          to="/"
          >{{ t('common.to-the-bay') }}</NuxtLink
        >
      </p></template
    >
    <LoadingRows v-else class="fetching" :words="t('page-jobs-id.fetching-the-job')" row-height="96px" />
  </main>
</template>

<style scoped src="../../../components/bench/bench-layout.css"></style>
