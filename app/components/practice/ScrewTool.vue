<script setup lang="ts">
/** Nut and screw of one valve, each turned apart: the screw turns only while the nut is loose or nipped by hand. */
defineProps<{ nut: 'loose' | 'nipped' | 'locked'; deg: number; askedDeg: number | null }>()
const emit = defineEmits<{ nut: [to: 'loose' | 'nipped' | 'locked']; screw: [deg: number] }>()
const NUTS = [
  ['loose', 'Loosen the nut'],
  ['nipped', 'Nip it'],
  ['locked', 'Torque it'],
] as const
const STEPS = [-90, -15, -5, -1, 1, 5, 15, 90]
</script>

<template>
  <section class="screw-tool" aria-label="Screw and nut">
    <svg
      viewBox="-90 -78 180 156"
      role="img"
      :aria-label="`Screw turned ${Math.round(deg)}° since the start, nut ${nut}`"
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
      Nut <b>{{ nut }}</b>, screw <b>{{ Math.round(deg) }}°</b> since the start<template v-if="askedDeg">
        · asked: {{ Math.abs(askedDeg) }}° {{ askedDeg > 0 ? 'clockwise' : 'counterclockwise' }}</template
      >
    </p>
    <div class="do">
      <button
        v-for="[to, words] in NUTS"
        :key="to"
        type="button"
        class="quiet"
        :disabled="nut === to"
        :data-nut-to="to"
        @click="emit('nut', to)"
      >
        {{ words }}
      </button>
    </div>
    <div class="steps" role="group" aria-label="Turn the screw, degrees; clockwise closes">
      <button
        v-for="step in STEPS"
        :key="step"
        type="button"
        class="quiet"
        :disabled="nut === 'locked'"
        :data-turn="step"
        @click="emit('screw', step)"
      >
        {{ step > 0 ? '+' : '−' }}{{ Math.abs(step) }}°
      </button>
    </div>
    <p class="state">{{ nut === 'locked' ? 'Locked: the screw does not turn.' : 'Clockwise (+) closes the gap.' }}</p>
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
.quiet {
  justify-content: center;
  padding: 0 4px;
  min-height: 42px;
  font-size: 15px;
}
.quiet[disabled] {
  opacity: 0.45;
  cursor: default;
}
</style>
