<script setup lang="ts">
import { computed } from 'vue'
import { type JobView, roundsOf, type Stage } from '~~/core/job'
import { t, tell } from '../../words'
import VerdictShape from './VerdictShape.vue'

/** The way through the lock: where the job stands on it, and the rounds that were locked, the newest last. */
const props = defineProps<{ view: JobView; stage: Extract<Stage, { kind: 'screw' }> }>()
const valve = computed(() => props.view.state.valves.find(v => v.valveId === props.stage.valveId)!)
const stations = computed(() => {
  const order = ['loosen', 'before lock', 'nip', 'torque'] as const
  const here = order.indexOf(props.stage.stage)
  const nm = props.view.pin.spec.engine.torques.locknutNm
  return [
    { name: t('screw-stage.nut-loose'), words: t('screw-stage.note-the-slot') },
    { name: t('screw-stage.before-lock'), words: t('screw-stage.turn-then-feel') },
    { name: t('common.nipped'), words: t('screw-stage.hold-it-still') },
    { name: t('common.torqued'), words: nm === null ? t('screw-stage.firm') : `${nm} N·m` },
  ].map((s, i) => ({ ...s, state: i < here ? 'done' : i === here ? 'here' : 'to come' }))
})
/** The rounds that were locked, the newest last. */
const rounds = computed(() =>
  roundsOf(props.view, valve.value, tell)
    .filter(r => r.torqued || r.nipped)
    .slice(-2),
)
</script>

<template>
  <div class="left">
    <ol class="stations">
      <li v-for="s in stations" :key="s.name" :class="s.state">
        <b>{{ s.name }}</b><span>{{ s.words }}</span>
      </li>
    </ol>
    <ol v-if="rounds.length" class="rounds" :aria-label="t('screw-stage.rounds-so-far')">
      <li v-for="r in rounds" :key="r.round">
        <b>{{ t('screw-stage.round', { round: r.round }) }} <VerdictShape :verdict="r.verdict" /></b
        ><span>{{
          r.torqued ? t('screw-stage.torqued', { torqued: r.torqued }) : t('screw-stage.nipped', { nipped: r.nipped })
        }}</span>
      </li>
    </ol>
  </div>
</template>

<style scoped>
.left {
  display: grid;
  align-content: start;
  min-height: 0;
  overflow: hidden;
}
.stations {
  list-style: none;
  margin: 0;
  padding: 20px 0 0 20px;
  display: grid;
  align-content: start;
  gap: 0;
}
.stations li {
  position: relative;
  padding: 0 0 14px 34px;
  display: grid;
  color: var(--ink2);
  font-size: 15px;
  line-height: 1.25;
}
.stations li::before {
  content: '';
  position: absolute;
  left: 2px;
  top: 2px;
  width: 18px;
  height: 18px;
  border-radius: 50%;
  border: 2px solid var(--edge);
  background: var(--ground);
}
.stations li:not(:last-child)::after {
  content: '';
  position: absolute;
  left: 12px;
  top: 24px;
  bottom: 0;
  border-left: 2px solid var(--edge);
}
.stations b {
  font: 600 18px/1.2 var(--figures);
  color: var(--ink);
}
.stations .here b {
  color: var(--petrol);
}
.stations .here::before {
  border: 6px solid var(--petrol);
}
.stations .done::before {
  background: var(--petrol);
  border-color: var(--petrol);
}
.rounds {
  list-style: none;
  margin: 0;
  padding: 4px 0 0 20px;
  display: grid;
  gap: 6px;
}
.rounds li {
  display: grid;
  font-size: 14.5px;
  line-height: 1.25;
  color: var(--ink2);
}
.rounds b {
  display: flex;
  gap: 6px;
  align-items: center;
  font: 600 16px/1.2 var(--figures);
  color: var(--ink);
}
@media (max-width: 700px) {
  .stations {
    display: none;
  }
  .rounds {
    padding: 8px 16px;
  }
}
</style>
