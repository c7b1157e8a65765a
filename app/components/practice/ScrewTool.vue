<script setup lang="ts">
import Button from 'primevue/button'
import { t } from '../../words'

/** Nut and screw of one valve, each turned apart: the screw turns only while the nut is loose or nipped by hand. */
defineProps<{ nut: 'loose' | 'nipped' | 'locked'; deg: number; askedDeg: number | null }>()
const emit = defineEmits<{ nut: [to: 'loose' | 'nipped' | 'locked']; screw: [deg: number] }>()
const NUTS = [
  ['loose', t('screw-tool.loosen-the-nut')],
  ['nipped', t('screw-tool.nip-it')],
  ['locked', t('screw-tool.torque-it')],
] as const
const NUT_IS = {
  loose: t('screw-tool.is-loose'),
  nipped: t('screw-tool.is-nipped'),
  locked: t('screw-tool.is-locked'),
}
const STEPS = [-90, -15, -5, -1, 1, 5, 15, 90]
</script>

<template>
  <section class="screw-tool" :aria-label="t('screw-tool.screw-and-nut')">
    <svg
      viewBox="-90 -78 180 156"
      role="img"
      :aria-label="t('screw-tool.screw-turned-since-the-start', { deg: Math.round(deg), nut: NUT_IS[nut] })"
      :data-screw="deg.toFixed(0)"
      :data-nut="nut"
    >
      <circle r="72" fill="none" stroke="var(--line)" stroke-width="1.5" />
      <path
        v-for="i in 12"
        :key="i"
        d="M 0 -72 v 8"
        :transform="`rotate(${i * 30})`"
        stroke="var(--ink)"
        :stroke-width="i % 3 ? 1 : 2.5"
      />
      <polygon
        :points="
          [0, 60, 120, 180, 240, 300]
            .map(
              a =>
                `${(56 * Math.sin((a * Math.PI) / 180)).toFixed(1)},${(-56 * Math.cos((a * Math.PI) / 180)).toFixed(1)}`,
            )
            .join(' ')
        "
        :fill="nut === 'locked' ? 'var(--metal)' : 'var(--sheet)'"
        stroke="var(--ink)"
        stroke-width="1.8"
        :transform="`rotate(${nut === 'locked' ? 0 : nut === 'nipped' ? -12 : -40})`"
      />
      <g :transform="`rotate(${deg})`">
        <circle r="30" fill="var(--metal-light)" stroke="var(--ink)" stroke-width="1.8" />
        <rect x="-4" y="-30" width="8" height="60" fill="var(--ink)" />
        <circle cy="-23" r="4" fill="var(--petrol)" />
      </g>
    </svg>
    <p class="state">
      {{ t('screw-tool.nut') }} <b>{{ NUT_IS[nut] }}</b>{{ t('screw-tool.screw') }} <b>{{ Math.round(deg) }}°</b>
      {{ t('screw-tool.since-the-start')
      }}<template v-if="askedDeg">
        {{
          t('screw-tool.asked', {
            deg: Math.abs(askedDeg),
            way: askedDeg > 0 ? t('runs.clockwise') : t('runs.anticlockwise'),
          })
        }}</template
      >
    </p>
    <div class="do">
      <Button
        v-for="[to, words] in NUTS"
        :key="to"
        severity="secondary"
        outlined
        :disabled="nut === to"
        :data-nut-to="to"
        @click="emit('nut', to)"
      >
        {{ words }}
      </Button>
    </div>
    <div class="steps" role="group" :aria-label="t('screw-tool.turn-the-screw-degrees-clockwise')">
      <Button
        v-for="step in STEPS"
        :key="step"
        severity="secondary"
        outlined
        :disabled="nut === 'locked'"
        :data-turn="step"
        @click="emit('screw', step)"
      >
        {{ step > 0 ? '+' : '−' }}{{ Math.abs(step) }}°
      </Button>
    </div>
    <p class="state">
      {{ nut === 'locked' ? t('screw-tool.locked-the-screw-does-not') : t('screw-tool.clockwise-closes-the-gap') }}
    </p>
  </section>
</template>

<style scoped>
.screw-tool {
  display: grid;
  gap: 6px;
}
svg {
  height: 140px;
  justify-self: center;
}
.state {
  font-size: 15px;
  color: var(--ink2);
}
.do,
.steps {
  display: grid;
  grid-template-columns: repeat(3, 1fr);
  gap: 5px;
}
.steps {
  grid-template-columns: repeat(4, 1fr);
}
.p-button {
  justify-content: center;
  padding: 0 4px;
  font-size: 15px;
}
@media (max-width: 700px) {
  .screw-tool {
    grid-template-columns: 96px minmax(0, 1fr);
    column-gap: 10px;
  }
  svg {
    height: 92px;
    grid-row: 1 / 3;
    align-self: center;
  }
  .steps,
  .screw-tool > .state:last-child {
    grid-column: 1 / -1;
  }
  .do .p-button {
    line-height: 1.1;
  }
  .screw-tool > .state:last-child {
    display: none;
  }
}
.p-button[disabled] {
  opacity: 0.45;
  cursor: default;
}
</style>
