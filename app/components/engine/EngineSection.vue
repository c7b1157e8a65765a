<script setup lang="ts">
import { computed } from 'vue'
import type { Engine, Role } from '~~/core/engine'
import { t } from '../../words'
import OverheadValves from './OverheadValves.vue'
import PushRodValves from './PushRodValves.vue'
import { crankAndPiston, CROWN_TOP, HEAD_Y } from './section-geometry'

/**
 * One cylinder in section at its own crank angle, 0 at its compression TDC, every part where its kinematics put it;
 * seen from where the crank turns clockwise.
 */
const props = defineProps<{
  engine: Engine
  crankDeg: number
  feel: Role[]
  labels?: boolean
  labelSize?: number
  name?: string | null
}>()

const at = computed(() => crankAndPiston(props.engine, props.crankDeg))
const overhead = computed(() => props.engine.layout === 'overhead cam')
</script>

<template>
  <g class="section" :data-crank="crankDeg.toFixed(1)">
    <!-- crankcase and cylinder -->
    <path
      :d="`M -34 ${HEAD_Y + 66} L -34 ${at.crankY - 44} A 54 54 0 1 0 34 ${at.crankY - 44} L 34 ${HEAD_Y + 66}`"
      fill="var(--metal-light)"
      stroke="var(--ink)"
      stroke-width="1.2"
    />
    <path
      :d="`M -27 ${HEAD_Y + 66} L -27 ${at.crankY - 38} A 47 47 0 1 0 27 ${at.crankY - 38} L 27 ${HEAD_Y + 66}`"
      fill="var(--ground)"
      stroke="var(--ink)"
      stroke-width="1"
    />
    <g v-for="side in [-1, 1]" :key="side">
      <rect
        v-for="i in 7"
        :key="i"
        :x="side < 0 ? -52 : 34"
        :y="HEAD_Y + 4 + i * 11"
        width="18"
        height="4"
        fill="var(--metal-light)"
        stroke="var(--ink)"
        stroke-width=".9"
      />
      <rect
        :x="side < 0 ? -36 : 28"
        :y="HEAD_Y"
        width="8"
        :height="at.crankY - HEAD_Y - 40"
        fill="var(--metal-mid)"
        stroke="var(--ink)"
        stroke-width="1"
      />
    </g>
    <!-- head with ports -->
    <path
      :d="`M -46 ${HEAD_Y} L -46 ${HEAD_Y - 20} L -30 ${HEAD_Y - 38} L 30 ${HEAD_Y - 38} L 46 ${HEAD_Y - 20} L 46 ${HEAD_Y} L 30 ${HEAD_Y} Q 0 ${HEAD_Y - 16} -30 ${HEAD_Y} Z`"
      fill="var(--sunk)"
      stroke="var(--ink)"
      stroke-width="1.2"
    />
    <path
      v-for="side in [-1, 1]"
      :key="`port${side}`"
      :d="`M ${side * 14} ${HEAD_Y - 6} Q ${side * 24} ${HEAD_Y - 26} ${side * 62} ${HEAD_Y - 28} L ${side * 62} ${HEAD_Y - 14} Q ${side * 40} ${HEAD_Y - 12} ${side * 30} ${HEAD_Y - 1} Z`"
      fill="var(--sheet)"
      stroke="var(--ink)"
      stroke-width="1"
    />
    <!-- crank and rod -->
    <g :transform="`translate(0 ${at.crankY}) rotate(${crankDeg})`">
      <path
        d="M -13 -34 A 13 13 0 0 1 13 -34 L 30 8 A 31 31 0 0 1 -30 8 Z"
        fill="var(--metal)"
        stroke="var(--ink)"
        stroke-width="1.2"
      />
    </g>
    <circle cx="0" :cy="at.crankY" r="9" fill="var(--sheet)" stroke="var(--ink)" stroke-width="1.2" />
    <path
      :d="`M -5 ${at.gudgeonY} L ${at.pinX - 7} ${at.pinY} L ${at.pinX + 7} ${at.pinY} L 5 ${at.gudgeonY} Z`"
      fill="var(--metal-mid)"
      stroke="var(--ink)"
      stroke-width="1.1"
    />
    <circle
      :cx="at.pinX"
      :cy="at.pinY"
      r="10"
      fill="var(--metal-mid)"
      stroke="var(--ink)"
      stroke-width="1.2"
      class="crank-pin"
    />
    <circle :cx="at.pinX" :cy="at.pinY" r="5" fill="var(--sheet)" stroke="var(--ink)" stroke-width="1" />
    <!-- piston -->
    <g class="piston" :transform="`translate(0 ${CROWN_TOP + at.drop})`" :data-drop="(at.drop / at.scale).toFixed(3)">
      <path
        d="M -27 0 L 27 0 L 27 40 L 15 40 Q 0 30 -15 40 L -27 40 Z"
        fill="var(--metal-light)"
        stroke="var(--ink)"
        stroke-width="1.2"
      />
      <path d="M -27 6 H 27 M -27 11 H 27 M -27 16 H 27" stroke="var(--ink)" stroke-width="1" />
    </g>
    <circle cx="0" :cy="at.gudgeonY" r="5.5" fill="var(--sheet)" stroke="var(--ink)" stroke-width="1.1" />

    <OverheadValves v-if="overhead" :engine="engine" :crank-deg="crankDeg" :feel="feel" />
    <PushRodValves v-else :engine="engine" :crank-deg="crankDeg" :crank-y="at.crankY" :feel="feel" />

    <text
      v-if="name"
      x="-98"
      :y="HEAD_Y + 84"
      text-anchor="middle"
      font-size="18"
      font-weight="700"
      class="cylinder-name"
      >{{ name }}</text
    >
    <template v-if="labels">
      <text
        :x="overhead ? -66 : -78"
        :y="overhead ? HEAD_Y - 2 : HEAD_Y + 44"
        text-anchor="end"
        :font-size="labelSize ?? 15"
        font-weight="600"
        >{{ t('common.intake') }}</text
      >
      <text
        :x="overhead ? 66 : 78"
        :y="overhead ? HEAD_Y - 2 : HEAD_Y + 44"
        :font-size="labelSize ?? 15"
        font-weight="600"
        >{{ t('common.exhaust') }}</text
      >
    </template>
  </g>
</template>
