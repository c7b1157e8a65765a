<script setup lang="ts">
import Button from 'primevue/button'
import Select from 'primevue/select'
import { computed, ref } from 'vue'
import type { Feel } from '~~/core/feeler'
import type { NextThing } from '~~/core/job'
import { type Act, type BladeFelt, feelOf, type LevelRules, type PracticeRun } from '~~/core/practice'
import type { Tool } from '../../composables/usePractice'
import { named, t, tell } from '../../words'
import BladeTool from './BladeTool.vue'
import ScrewTool from './ScrewTool.vue'

/** What can be done with the tool in hand. */
const props = defineProps<{
  run: PracticeRun
  tool: Tool
  valveId: string
  bladesMm: number[]
  next: NextThing | null
  leads: boolean
  rules: LevelRules
  crankDeg: number
  felt: () => BladeFelt | null
  bladeIn: boolean
  version: number
}>()
const emit = defineEmits<{
  act: [doing: Act]
  turn: [deg: number]
  valve: [id: string]
  blades: [mm: number[]]
  in: [isIn: boolean]
  heard: [what: 'click' | 'dead' | Feel]
}>()
const valves = computed(() => props.run.start.kind.engine.valves)
const valve = computed(() => valves.value.find(v => v.id === props.valveId)!)
const TURNS = [-10, -2, 2, 10, 90, 180]
const nut = computed(() => {
  void props.version
  return props.run.drawn.virtual.nuts[props.valveId]!
})
const deg = computed(() => {
  void props.version
  return props.run.drawn.virtual.screwDeg[props.valveId]!
})
const warmth = computed(() => {
  void props.version
  return props.run.acts.some(a => a.kind === 'warmth') ? props.run.drawn.virtual.headC : null
})
const wiggled = ref<Record<string, string>>({})
function wiggle(id: string): void {
  const felt = feelOf(props.run.drawn.virtual, { kind: 'rocker', valveId: id })
  emit('act', { kind: 'wiggle', valveId: id })
  emit('valve', id)
  wiggled.value = { ...wiggled.value, [id]: tell(felt.words) }
  emit('heard', felt.slack ? 'click' : 'dead')
}
const feltHere = (id: string) =>
  (void props.version, props.run.wiggled.has(id)) ? (wiggled.value[id] ?? '') : t('hand-tools.not-felt-here')
const rod = computed(() => {
  void props.crankDeg
  return feelOf(props.run.drawn.virtual, { kind: 'rod', cylinderId: valve.value.cylinderId })
})
const rest = computed(() => {
  void props.crankDeg
  return tell(feelOf(props.run.drawn.virtual, { kind: 'crank' }).words)
})
const askedBlade = computed(() =>
  props.leads && props.next?.trial?.valveId === props.valveId ? props.next.trial.stack.engravedMm : null,
)
const askedDeg = computed(() =>
  props.leads && props.next?.trial?.valveId === props.valveId && props.next.trial.after?.kind === 'screw'
    ? props.next.trial.after.deg
    : null,
)
function slid(felt: BladeFelt): void {
  emit('act', { kind: 'slide', valveId: props.valveId, bladesMm: props.bladesMm })
  emit('heard', felt.feel)
}
const blade = ref<InstanceType<typeof BladeTool> | null>(null)
defineExpose({ slide: () => blade.value?.slide(), wiggle: () => wiggle(props.valveId) })
function waitAnHour(): void {
  emit('act', { kind: 'wait', hours: 1 })
  emit('act', { kind: 'warmth' })
}
</script>

<template>
  <div class="tools">
    <Select
      v-if="(tool === 'blade' || tool === 'screw' || tool === 'rod') && valves.length > 4"
      class="choose"
      :aria-label="t('common.valve')"
      :model-value="valveId"
      :options="valves.map(v => ({ value: v.id, label: named(v.name) }))"
      option-label="label"
      option-value="value"
      @update:model-value="emit('valve', $event)"
    />
    <div
      v-else-if="tool === 'blade' || tool === 'screw' || tool === 'rod'"
      class="valves"
      role="radiogroup"
      :aria-label="t('common.valve')"
    >
      <button
        v-for="v in valves"
        :key="v.id"
        type="button"
        role="radio"
        class="valve"
        :class="{ chosen: v.id === valveId }"
        :aria-checked="v.id === valveId"
        :data-valve="v.id"
        @click="emit('valve', v.id)"
      >
        {{ named(v.name) }}
      </button>
    </div>
    <section v-if="tool === 'crank' || tool === 'window'" class="part" :aria-label="t('common.crank')">
      <p class="says">
        {{ t('hand-tools.the-crank', { bladeIn: bladeIn ? t('hand-tools.is-held-a-blade-is') : rest }) }}
      </p>
      <div class="turns">
        <Button
          v-for="by in TURNS"
          :key="by"
          severity="secondary"
          outlined
          :disabled="bladeIn"
          :data-crank-turn="by"
          @click="emit('turn', by)"
        >
          {{ by < 0 ? '−' : '+' }}{{ Math.abs(by) }}°
        </Button>
      </div>
      <p class="note">
        {{ t('hand-tools.drag-the-flywheel-roll-the') }}
      </p>
      <Button
        severity="secondary"
        outlined
        class="warm"
        data-testid="thermometer"
        @click="emit('act', { kind: 'warmth' })"
      >
        {{ t('hand-tools.thermometer-on-the-head') }}<b v-if="warmth !== null">{{ Math.round(warmth) }} °C</b>
      </Button>
      <Button
        v-if="warmth !== null && warmth > run.start.kind.engine.coldLimitC"
        severity="secondary"
        outlined
        @click="waitAnHour"
      >
        {{ t('common.let-it-stand-an-hour') }}
      </Button>
    </section>
    <section
      v-else-if="tool === 'rockers'"
      class="part"
      :class="{ many: valves.length > 4 }"
      :aria-label="t('common.rockers')"
    >
      <div v-for="v in valves" :key="v.id" class="rocker">
        <Button severity="secondary" outlined :data-wiggle="v.id" @click="wiggle(v.id)">
          {{ valves.length > 4 ? named(v.name) : t('hand-tools.wiggle', { name: v.name.toLowerCase() }) }}</Button><b
          :data-felt="v.id"
          >{{ feltHere(v.id) }}</b
        >
      </div>
    </section>
    <section v-else-if="tool === 'rod'" class="part" :aria-label="t('common.soft-rod')">
      <p v-if="rules.rod" class="says">
        <b data-testid="rod">{{ tell(rod.words) }}</b>
      </p>
      <p v-else class="says">{{ t('hand-tools.the-plug-stays-in-on') }}</p>
      <p class="note">{{ t('hand-tools.turn-the-crank-and-watch') }}</p>
      <div class="turns">
        <Button
          v-for="by in TURNS.slice(0, 5)"
          :key="by"
          severity="secondary"
          outlined
          :data-crank-turn="by"
          @click="emit('turn', by)"
        >
          {{ by < 0 ? '−' : '+' }}{{ Math.abs(by) }}°
        </Button>
      </div>
    </section>
    <!-- at another valve the blade is out of the first -->
    <BladeTool
      v-else-if="tool === 'blade'"
      ref="blade"
      :key="valveId"
      :set="run.drawn.pin.bladeSet"
      :blades-mm="bladesMm"
      :asked="askedBlade"
      :felt="felt"
      :rules="rules"
      @choose="emit('blades', $event)"
      @slid="slid"
      @in="emit('in', $event)"
    />
    <ScrewTool
      v-else
      :nut="nut"
      :deg="deg"
      :asked-deg="askedDeg"
      @nut="emit('act', { kind: 'nut', valveId, to: $event })"
      @screw="emit('act', { kind: 'screw', valveId, deg: $event })"
    />
  </div>
</template>

<style scoped>
.tools {
  display: grid;
  gap: 8px;
  align-content: start;
}
.part {
  display: grid;
  gap: 10px;
}
.says {
  font: 600 19px/1.25 var(--figures);
}
.note {
  font-size: 15px;
  line-height: 1.35;
  color: var(--ink2);
}
.valves {
  display: grid;
  grid-template-columns: 1fr 1fr;
  gap: 4px;
}
.valve {
  border: 1px solid var(--edge);
  border-radius: 6px;
  background: none;
  min-height: 44px;
  padding: 0 8px;
  font: 600 14.5px/1 var(--figures);
  cursor: pointer;
  color: var(--ink);
}
.valve.chosen {
  border-color: var(--petrol);
  box-shadow: inset 0 -3px 0 var(--petrol);
}
.turns {
  display: grid;
  grid-template-columns: repeat(3, 1fr);
  gap: 6px;
}
.turns .p-button {
  justify-content: center;
}
.p-button[disabled] {
  opacity: 0.45;
}
.warm {
  justify-content: space-between;
}
.rocker {
  display: grid;
  grid-template-columns: 1fr auto;
  gap: 10px;
  align-items: center;
}
.many {
  gap: 4px;
}
.choose {
  min-height: 44px;
  font: 600 16px/1 var(--figures);
  padding: 4px 10px;
}
.rocker b {
  font: 600 16px/1.2 var(--figures);
}
@media (max-width: 700px) {
  .part {
    gap: 6px;
  }
  .turns {
    grid-template-columns: repeat(6, 1fr);
    gap: 4px;
  }
  .turns .p-button {
    padding: 0;
    font-size: 16px;
  }
  .note {
    display: none;
  }
  .valve {
    min-height: 44px;
    font-size: 16px;
  }
}
</style>
