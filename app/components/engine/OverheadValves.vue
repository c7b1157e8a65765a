<script setup lang="ts">
import type { Engine, Role } from '~~/core/engine'
import { camPath, drawnLift, HEAD_Y, rockerTurn, SIDES } from './section-geometry'
import ValveAndSpring from './ValveAndSpring.vue'

/** Valves, rockers and camshaft of a head with its cam above: a valve moves along its own axis. */
const props = defineProps<{ engine: Engine; crankDeg: number; feel: Role[] }>()
const VALVE_TILT = 20
const liftOf = (role: Role): number => drawnLift(props.engine, role, props.crankDeg)
</script>

<template>
  <g>
    <g v-for="{ role, sign } in SIDES" :key="role">
      <!-- a valve moves along its own axis -->
      <g :transform="`translate(${sign * 20} ${HEAD_Y - 4}) rotate(${sign * VALVE_TILT})`">
        <ValveAndSpring :role="role" :lift="liftOf(role)" :half="12" />
      </g>
      <!-- rocker: cam end down by the lobe, valve end follows -->
      <g :transform="`translate(${sign * 22} ${HEAD_Y - 58})`">
        <g :transform="`rotate(${sign * rockerTurn(liftOf(role), 17)})`">
          <path
            :d="`M ${sign * -16} 2 Q ${sign * -8} -9 ${sign * 4} -8 L ${sign * 19} 2 L ${sign * 17} 8 L ${sign * 4} 5 Q ${sign * -8} 6 ${sign * -16} 2 Z`"
            fill="var(--metal-mid)"
            stroke="var(--ink)"
            stroke-width="1.1"
          />
          <rect
            :x="sign * 15 - 3"
            y="-6"
            width="6"
            height="13"
            fill="var(--metal)"
            stroke="var(--ink)"
            stroke-width=".9"
            :transform="`rotate(${sign * 12} ${sign * 15} 0)`"
          />
        </g>
        <circle r="3.4" fill="var(--sheet)" stroke="var(--ink)" stroke-width="1" />
        <circle
          v-if="feel.includes(role)"
          :cx="sign * 16"
          cy="2"
          r="14"
          fill="none"
          stroke="var(--petrol)"
          stroke-width="3.5"
          class="feel"
        />
      </g>
    </g>
    <g :transform="`translate(0 ${HEAD_Y - 46})`">
      <g :transform="`rotate(${crankDeg / 2})`">
        <path
          :d="camPath(engine, 'exhaust', 55, 7, 7)"
          fill="var(--metal-light)"
          stroke="var(--ink)"
          stroke-width="1"
        />
        <path :d="camPath(engine, 'intake', -55, 7, 7)" fill="var(--metal)" stroke="var(--ink)" stroke-width="1" />
      </g>
      <circle r="3" fill="var(--ink)" />
    </g>
  </g>
</template>
