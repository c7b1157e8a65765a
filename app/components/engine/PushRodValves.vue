<script setup lang="ts">
import type { Engine, Role } from '~~/core/engine'
import { camPath, drawnLift, HEAD_Y, LIFT, rockerTurn, SIDES } from './section-geometry'
import ValveAndSpring from './ValveAndSpring.vue'

/** Valves, rockers and push-rods of a head whose cams turn beside the crank. */
const props = defineProps<{ engine: Engine; crankDeg: number; crankY: number; feel: Role[] }>()
const liftOf = (role: Role): number => drawnLift(props.engine, role, props.crankDeg)
</script>

<template>
  <g>
    <g v-for="{ role, sign } in SIDES" :key="role">
      <g :transform="`translate(${sign * 18} ${HEAD_Y - 4})`">
        <ValveAndSpring :role="role" :lift="liftOf(role)" :half="11" />
      </g>
      <!-- push-rod on its cam beside the crank -->
      <path
        :d="`M ${sign * 64} ${HEAD_Y - 44 - liftOf(role)} L ${sign * 64} ${crankY - 14 - liftOf(role)}`"
        stroke="var(--ink)"
        stroke-width="5"
      />
      <path
        :d="`M ${sign * 64} ${HEAD_Y - 43 - liftOf(role)} L ${sign * 64} ${crankY - 15 - liftOf(role)}`"
        stroke="var(--metal-light)"
        stroke-width="3"
      />
      <rect
        :x="sign * 64 - 8"
        :y="crankY - 16 - liftOf(role)"
        width="16"
        height="5"
        fill="var(--metal-mid)"
        stroke="var(--ink)"
        stroke-width="1"
      />
      <g :transform="`translate(${sign * 64} ${crankY + 2})`">
        <g :transform="`rotate(${crankDeg / 2})`"
          ><path :d="camPath(engine, role, 0, 12, LIFT)" fill="var(--metal)" stroke="var(--ink)" stroke-width="1.1"
        /></g>
        <circle r="3" fill="var(--ink)" />
      </g>
      <g :transform="`translate(${sign * 41} ${HEAD_Y - 56})`">
        <g :transform="`rotate(${-sign * rockerTurn(liftOf(role), 23)})`">
          <path
            :d="`M ${sign * -27} 2 Q 0 -16 ${sign * 27} 4 L ${sign * 26} 10 Q 0 -2 ${sign * -26} 8 Z`"
            fill="var(--metal-mid)"
            stroke="var(--ink)"
            stroke-width="1.1"
          />
          <rect
            v-if="engine.adjuster.kind !== 'pivot-nut'"
            :x="sign * (engine.adjuster.kind === 'valve-end' ? -23 : 23) - 3"
            y="-6"
            width="6"
            height="14"
            fill="var(--metal)"
            stroke="var(--ink)"
            stroke-width=".9"
          />
        </g>
        <circle r="4" fill="var(--sheet)" stroke="var(--ink)" stroke-width="1" />
        <rect
          v-if="engine.adjuster.kind === 'pivot-nut'"
          x="-6"
          y="-14"
          width="12"
          height="8"
          fill="var(--metal)"
          stroke="var(--ink)"
          stroke-width=".9"
        />
        <circle
          v-if="feel.includes(role)"
          :cx="sign * -22"
          cy="4"
          r="14"
          fill="none"
          stroke="var(--petrol)"
          stroke-width="3.5"
          class="feel"
        />
      </g>
    </g>
  </g>
</template>
