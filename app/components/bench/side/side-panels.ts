import type { Component } from 'vue'
import {
  type Happening,
  type JobEvent,
  type JobView,
  type NextThing,
  plugGapOf,
  plugItem,
  setInHand,
} from '~~/core/job'
import type { School } from '~~/core/stops'
import { KEYS, type Panel } from '../../../bench/panel'
import type { BenchScreen } from '../../../composables/useBenchScreen'
import type { useNewerSpec } from '../../../composables/useNewerSpec'
import AskForm from './AskForm.vue'
import BladeAsk from './BladeAsk.vue'
import DuePanel from './DuePanel.vue'
import EvidencePanel from './EvidencePanel.vue'
import FigurePanel from './FigurePanel.vue'
import FoundPanel from './FoundPanel.vue'
import NewerSpecPanel from './NewerSpecPanel.vue'
import NotOpenedPanel from './NotOpenedPanel.vue'
import PhotosPanel from './PhotosPanel.vue'
import PressurePanel from './PressurePanel.vue'
import ReasonsPanel from './ReasonsPanel.vue'
import SchoolPanel from './SchoolPanel.vue'
import SetsPanel from './SetsPanel.vue'
import ShimPanel from './ShimPanel.vue'
import SidePanels, { type MoreChoice } from './SidePanels.vue'
import UndoPanel from './UndoPanel.vue'
import WaysPanel from './WaysPanel.vue'
import WrenchPanel from './WrenchPanel.vue'

/** All that the panels are made from. */
export interface Given {
  view: JobView
  next: NextThing
  screen: BenchScreen
  log: readonly JobEvent[]
  jobId: number
  isLead: boolean
  isDemo: boolean
  favourite: School | null
  newer: ReturnType<typeof useNewerSpec>['value']
  shortcutsOn: boolean
  toggleShortcuts: () => void
}
/** A component with its props and what it is listened to for; null where it has nothing to show now. */
type Side = [Component, Record<string, unknown>] | null
type SideKind = Exclude<Panel['kind'], 'keys'>

const record =
  ({ screen }: Given) =>
  (happening: Happening) =>
    screen.record(happening)

/** What each choice under More leads to: a panel of its own, a valve to set, or a field. */
function choose({ screen }: Given, choice: MoreChoice): void {
  const asPanel = choice as SideKind
  if (choice.startsWith('set:')) void screen.record({ type: 'set-chosen', payload: { valveId: choice.slice(4) } })
  else if (asPanel in SIDES) screen.panel.value = { kind: asPanel } as Panel
  else screen.panel.value = { kind: 'ask', asks: choice as 'note' }
}

const more = (given: Given, panel: Panel): Side => [
  SidePanels,
  {
    kind: panel.kind,
    view: given.view,
    log: given.log,
    settable: given.screen.settable.value,
    shortcutsOn: given.shortcutsOn,
    tryingBlade: given.next.trial !== null,
    onChoose: (choice: MoreChoice) => choose(given, choice),
    onRetract: (event: JobEvent) => given.screen.retract(event),
    onShortcuts: given.toggleShortcuts,
  },
]
const shim = (given: Given, panel: Panel): Side =>
  given.next.stage.kind === 'shims'
    ? [ShimPanel, { view: given.view, valveId: given.next.stage.valveId, kind: panel.kind, onRecord: record(given) }]
    : null

/** The plug whose gap is asked for, and what it is set to. */
function plugAsked({ view, next }: Given): { told: { item?: string }; setMm: number } | null {
  const what = next.requirement?.what
  const gap = plugGapOf(view.pin.spec.engine)
  return what?.kind === 'plug-gap' && gap ? { told: plugItem(what.item), setMm: gap.setMm } : null
}

const SIDES: { [K in SideKind]: (given: Given, panel: Extract<Panel, { kind: K }>) => Side } = {
  'ask': (given, { asks }) => [
    AskForm,
    {
      key: asks,
      asks,
      step: given.next.step,
      gate: given.next.requirement,
      valveId: given.screen.activeValve.value,
      unit: given.view.pin.unit,
      standIn: given.isDemo,
      plug: plugAsked(given),
      onDone: record(given),
    },
  ],
  'finding': given => [
    FoundPanel,
    { view: given.view, step: given.next.step, jobId: given.jobId, onDone: record(given) },
  ],
  'due': given => [DuePanel, { nowMs: given.view.nowMs, onDone: record(given) }],
  'blade': ({ view, screen }) => [
    BladeAsk,
    {
      set: setInHand(view),
      onDone: (engravedMm: number[]) => {
        screen.blades.value = engravedMm
        screen.panel.value = KEYS
      },
    },
  ],
  'sets': given => [
    SetsPanel,
    { view: given.view, onChoose: (set: string) => record(given)({ type: 'blades-taken', payload: { set } }) },
  ],
  'wrench': given => [WrenchPanel, { view: given.view, onRecord: record(given) }],
  'ways': given => [WaysPanel, { view: given.view, onRecord: record(given) }],
  'newer': given =>
    given.newer ? [NewerSpecPanel, { view: given.view, newer: given.newer, onRecord: record(given) }] : null,
  'figure': given =>
    given.next.stage.kind === 'figures'
      ? [FigurePanel, { view: given.view, role: given.next.stage.role, isLead: given.isLead, onRecord: record(given) }]
      : null,
  'shim-read': shim,
  'shim-size': shim,
  'not-opened': ({ view }) => [NotOpenedPanel, { pin: view.pin }],
  'pressure': given => [PressurePanel, { view: given.view, onRecord: record(given) }],
  'photos': ({ view, jobId }) => [PhotosPanel, { machineId: view.pin.machine.id, jobId }],
  'undo': ({ view, screen }, { event }) => [UndoPanel, { event, pin: view.pin, onRetract: screen.retract }],
  'evidence': given => [EvidencePanel, { view: given.view, onRecord: record(given) }],
  'reasons': ({ view, screen }) => [
    ReasonsPanel,
    {
      view,
      without: screen.without.value,
      onSee: (id: string | null) => {
        screen.without.value = id
      },
      onRetract: screen.retractId,
    },
  ],
  'school': given => [
    SchoolPanel,
    {
      view: given.view,
      favourite: given.favourite,
      onChoose: (school: School) => record(given)({ type: 'school-chosen', payload: { school } }),
      onRecord: record(given),
    },
  ],
  'more': more,
  'log': more,
  'help': more,
}

/** What stands in the place of the keys. */
export function sideOf(given: Given): { is: Component; props: Record<string, unknown> } | null {
  const panel = given.screen.panel.value
  if (panel.kind === 'keys') return null
  const side = SIDES[panel.kind](given, panel as never)
  const onBack = () => {
    given.screen.panel.value = KEYS
  }
  return side && { is: side[0], props: { ...side[1], onBack } }
}
