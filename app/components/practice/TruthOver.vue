<script setup lang="ts">
import Button from 'primevue/button'
import { computed } from 'vue'
import { signedWay } from '~~/core/engine'
import { limitsOf } from '~~/core/feeler'
import { clearanceOf, nearestStop, stopHere } from '~~/core/job'
import type { Replayed } from '~~/core/practice'
import { snapMm } from '~~/core/units'
import { named, t, tell } from '../../words'
import { placeStatement } from '../bench/stage-words'
import CycleWheel from '../engine/CycleWheel.vue'

/**
 * One step of a run: on the wheel where the answers put the crank and where it stood; on rules what was measured and
 * the true gap.
 */
const props = defineProps<{ steps: Replayed[] }>()
const at = defineModel<number>({ required: true })
const step = computed(() => props.steps[at.value]!)
const view = computed(() => step.value.view)
const place = computed(() => placeStatement(view.value))
const target = computed(() => nearestStop(view.value))

const limits = (valveId: string) => limitsOf(clearanceOf(view.value.pin, valveId))
/** One scale for all steps, so that the rules stand still while one goes through them. */
const topMm = computed(() => {
  const ends = props.steps.flatMap(s =>
    s.valves.flatMap(v => [v.trueMm, v.believed?.hiMm ?? 0, limits(v.valveId)?.maxMm ?? 0]),
  )
  return Math.min(0.5, Math.ceil((Math.max(...ends) + 0.02) * 20) / 20)
})
const W = 360
const x = (mm: number): number => 6 + Math.max(0, Math.min(1, mm / topMm.value)) * (W - 12)
const ticks = computed(() => Array.from({ length: Math.round(topMm.value / 0.05) + 1 }, (_, i) => i * 0.05))
const mm = (value: number): string => snapMm(value).toFixed(2)
const believedWords = (v: Replayed['valves'][number]): string =>
  !v.believed
    ? t('common.not-measured')
    : v.believed.hiMm === null
      ? t('truth-over.or-more', { loMm: mm(v.believed.loMm) })
      : `${mm(v.believed.loMm)}–${mm(v.believed.hiMm)}`
/** How far the crank stood from where the answers put it; nothing while that is anywhere. */
const awayWords = computed(() => {
  if ((view.value.position.arcs[0]?.sweepDeg ?? 720) > 700) return ''
  const away = Math.round(Math.abs(signedWay(view.value.position.peakDeg, step.value.crankDeg)))
  return away < 12 ? t('truth-over.as-believed') : t('truth-over.away', { away })
})
const go = (by: number) => {
  at.value = Math.min(props.steps.length - 1, Math.max(0, at.value + by))
}
defineExpose({ go })
</script>

<template>
  <section class="over" :aria-label="t('truth-over.what-was-believed-and-what')">
    <div class="wheel-of">
      <CycleWheel
        :engine="view.pin.spec.engine"
        :arcs="view.position.arcs"
        :crank-deg="view.position.peakDeg"
        :true-deg="step.crankDeg"
        :stops="view.model.plan.stops"
        :target="target"
        :at-stop="target !== null && stopHere(view) === target"
        :feel="[]"
        :cylinder-id="step.cylinderId"
        compact
      />
    </div>
    <div class="told">
      <div v-if="steps.length > 1" class="walk">
        <Button
          severity="secondary"
          outlined
          :disabled="at === 0"
          :aria-label="t('truth-over.the-step-before')"
          @click="go(-1)"
        >
          ←
        </Button>
        <label
          ><span>{{ t('truth-over.step-of', { at, count: steps.length - 1 }) }}</span
          ><input v-model.number="at" type="range" min="0" :max="steps.length - 1" data-testid="truth-step"
        /></label>
        <Button
          severity="secondary"
          outlined
          :disabled="at === steps.length - 1"
          :aria-label="t('truth-over.the-next-step')"
          @click="go(1)"
        >
          →
        </Button>
      </div>
      <p class="what" data-testid="truth-words">{{ tell(step.words) }}</p>
      <dl>
        <div>
          <dt>
            <svg width="26" height="16" aria-hidden="true">
              <path d="M 1 15 C 7 15 9 3 13 3 S 19 15 25 15 Z" fill="var(--petrol)" /></svg
            >{{ t('truth-over.by-your-answers') }}
          </dt>
          <dd data-testid="believed-at">
            {{ place.title }}<small>{{ place.words }}</small>
          </dd>
        </div>
        <div>
          <dt>
            <svg width="26" height="16" aria-hidden="true">
              <path d="M 1 8 H 17" stroke="var(--ink)" stroke-width="3.4" />
              <path d="M 13 2 L 25 8 L 13 14 Z" fill="var(--ink)" /></svg
            >{{ t('common.truly') }}
          </dt>
          <dd data-testid="truly-at">
            {{ Math.round(step.crankDeg) % 720 }}°<small>{{ tell(step.truth) }}{{ awayWords }}</small>
          </dd>
        </div>
      </dl>
      <ul class="gaps" :class="{ many: step.valves.length > 4 }">
        <li v-for="v in step.valves" :key="v.valveId" :data-then="v.valveId">
          <p>
            <b>{{ named(v.name) }}</b><em v-if="v.believed || step.valves.length < 5">{{ believedWords(v) }}</em
            ><span
              >{{ mm(v.trueMm) }}{{ v.openMm > 0.005 ? t('truth-over.held-open', { openMm: mm(v.openMm) }) : '' }}</span
            >
          </p>
          <svg
            :viewBox="`0 0 ${W} 22`"
            role="img"
            :aria-label="
              t('truth-over.measured-truly-mm', {
                name: named(v.name),
                measured: believedWords(v),
                trueMm: mm(v.trueMm),
              })
            "
          >
            <rect x="1" y="1" :width="W - 2" height="20" fill="var(--white)" stroke="var(--ink)" stroke-width="1.4" />
            <rect
              v-if="limits(v.valveId)"
              :x="x(limits(v.valveId)!.minMm)"
              y="2"
              :width="Math.max(2, x(limits(v.valveId)!.maxMm) - x(limits(v.valveId)!.minMm))"
              height="18"
              fill="var(--petrol-tint)"
            />
            <path v-for="tick in ticks" :key="tick" :d="`M ${x(tick)} 1 v 5`" stroke="var(--ink)" stroke-width="1" />
            <rect
              v-if="v.believed"
              :x="x(v.believed.loMm)"
              y="10"
              :width="Math.max(3, x(v.believed.hiMm ?? topMm) - x(v.believed.loMm))"
              height="6"
              fill="var(--petrol)"
            />
            <path :d="`M ${x(v.trueMm)} 1 V 21`" stroke="var(--ink)" stroke-width="2.6" />
            <path :d="`M ${x(v.trueMm) - 5} 1 h 10 l -5 7 Z`" fill="var(--ink)" />
          </svg>
        </li>
      </ul>
    </div>
  </section>
</template>

<style scoped>
.over {
  display: grid;
  grid-template-columns: minmax(220px, 300px) minmax(0, 1fr);
  gap: 16px;
  align-items: start;
  border-bottom: 1.5px solid var(--ink);
  padding-bottom: 14px;
}
.wheel-of {
  height: 300px;
}
.told {
  display: grid;
  gap: 8px;
}
.walk {
  display: grid;
  grid-template-columns: 48px 1fr 48px;
  gap: 10px;
  align-items: center;
}
.walk .p-button {
  min-height: 44px;
  justify-content: center;
  font-size: 20px;
}
.walk label {
  display: grid;
  gap: 2px;
  font: 600 15px/1.2 var(--figures);
  color: var(--ink2);
}
.walk input {
  width: 100%;
  accent-color: var(--petrol);
  min-height: 44px;
}
.what {
  font: 600 20px/1.2 var(--figures);
  min-height: 24px;
}
dl {
  margin: 0;
  display: grid;
  grid-template-columns: 1fr 1fr;
  gap: 12px;
}
dt {
  display: flex;
  gap: 6px;
  align-items: center;
  font: 500 14.5px/1.2 var(--figures);
  color: var(--ink2);
}
dd {
  margin: 0;
  font: 700 21px/1.15 var(--figures);
}
dd small {
  display: block;
  font: 500 14.5px/1.25 var(--sentences);
  color: var(--ink2);
}
.gaps {
  list-style: none;
  margin: 4px 0 0;
  padding: 0;
  display: grid;
  gap: 8px;
}
.gaps.many {
  grid-template-columns: 1fr 1fr;
  gap: 6px 14px;
}
.gaps p {
  display: flex;
  flex-wrap: wrap;
  gap: 0 10px;
  font: 500 14.5px/1.25 var(--figures);
  padding-bottom: 2px;
}
.gaps b {
  margin-right: auto;
}
.gaps span {
  font-weight: 600;
}
.gaps svg {
  width: 100%;
  height: auto;
  display: block;
}
em {
  font-style: normal;
  color: var(--petrol);
  font-weight: 600;
}
@media (max-width: 800px) {
  .over {
    grid-template-columns: 1fr;
  }
  .wheel-of {
    height: 250px;
  }
  .gaps.many {
    grid-template-columns: 1fr;
  }
}
</style>
