<script setup lang="ts">
import { computed } from 'vue'
import type { MarkedStage, StageMark } from '~~/core/practice'
import { t } from '../../words'

/** How many answers each stage took, a block each, against the fewest; at the end with its points. */
const props = defineProps<{
  moves: Record<MarkedStage, number>
  least: Record<MarkedStage, number>
  at: MarkedStage | null
  marked: StageMark[] | null
  /** Only the stage that is drilled, where the run is a drill. */
  drill?: MarkedStage
}>()
const STAGES: { id: MarkedStage; name: string }[] = [
  { id: 'find', name: t('step-rail.find') },
  { id: 'measure', name: t('step-rail.measure') },
  { id: 'set', name: t('step-rail.set') },
  { id: 'prove', name: t('step-rail.prove') },
]
const stages = computed(() => STAGES.filter(s => !props.drill || s.id === props.drill))
const W = 280
const topOf = (id: MarkedStage): number => Math.max(10, props.moves[id], props.least[id] + 2)
const x = (id: MarkedStage, n: number): number => 6 + (n / topOf(id)) * (W - 12)
const pointsOf = (id: MarkedStage): string => {
  const s = props.marked?.find(m => m.stage === id)
  return s ? t('moves-strip.points', { points: s.points }) : props.moves[id] ? '' : t('moves-strip.to-come')
}
</script>

<template>
  <div class="strip">
    <section v-for="s in stages" :key="s.id" :class="{ at: s.id === at }" :data-stage="s.id">
      <p>
        <b>{{ s.name }}</b><span>{{ pointsOf(s.id) }}</span>
      </p>
      <svg
        :viewBox="`0 0 ${W} 62`"
        role="img"
        :aria-label="t('moves-strip.answers-at-the-fewest', { name: s.name, moves: moves[s.id], least: least[s.id] })"
      >
        <text v-if="least[s.id]" :x="x(s.id, least[s.id])" y="11" text-anchor="middle" font-size="13" font-weight="600">
          {{ t('moves-strip.fewest', { least: least[s.id] }) }}
        </text>
        <rect x="1" y="16" :width="W - 2" height="28" fill="var(--white)" stroke="var(--ink)" stroke-width="1.5" />
        <path
          v-if="least[s.id]"
          :d="`M ${x(s.id, least[s.id]) - 7} 16 a 7 7 0 0 0 14 0`"
          fill="var(--ground)"
          stroke="var(--ink)"
          stroke-width="1.3"
        />
        <rect
          v-for="i in moves[s.id]"
          :key="i"
          :x="x(s.id, i - 1) + 1"
          y="25"
          :width="Math.max(2, x(s.id, 1) - x(s.id, 0) - 3)"
          height="12"
          fill="var(--ink2)"
        />
        <text x="1" y="59" font-size="13">{{ t('moves-strip.answers', { moves: moves[s.id] }) }}</text>
      </svg>
    </section>
  </div>
</template>

<style scoped>
.strip {
  display: grid;
  grid-template-columns: repeat(4, 1fr);
  background: var(--sunk);
  border-top: 1.5px solid var(--ink);
  min-height: 0;
}
section {
  padding: 12px 20px 6px;
  border-right: 1px solid var(--line);
  display: grid;
  gap: 6px;
  align-content: start;
}
.at {
  background: var(--sheet);
  box-shadow: inset 0 4px 0 var(--petrol);
}
p {
  display: flex;
  justify-content: space-between;
  font: 600 18px/1.2 var(--figures);
}
span {
  color: var(--ink2);
  font-size: 16px;
}
svg {
  width: 100%;
  height: auto;
  display: block;
}
@media (max-width: 700px) {
  .strip {
    grid-template-columns: 1fr 1fr;
  }
  section {
    padding: 8px 12px;
  }
}
</style>
