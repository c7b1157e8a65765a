<script setup lang="ts">
import { computed } from 'vue'
import { type Engine, greatestLiftMm, pistonDrop, rodLengthMm, type Role, valveLift } from '~~/core/engine'
import { t } from '../../words'

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

const STROKE = 66
const CRANK_Y = 92
const HEAD_Y = -72
const LIFT = 11
const scale = computed(() => STROKE / props.engine.strokeMm)
const rod = computed(() => Math.min(rodLengthMm(props.engine) * scale.value, 128))
const radians = computed(() => (props.crankDeg * Math.PI) / 180)
const pin = computed(() => ({
  x: (STROKE / 2) * Math.sin(radians.value),
  y: CRANK_Y - (STROKE / 2) * Math.cos(radians.value),
}))
const drop = computed(() => pistonDrop(props.engine, props.crankDeg) * scale.value)
/** The piston's top dead center is put just under the head, however long the rod is drawn. */
const CROWN_TOP = HEAD_Y + 8
const gudgeon = computed(() => CROWN_TOP + 24 + drop.value)
const rodShift = computed(() => CRANK_Y - STROKE / 2 - rod.value - (CROWN_TOP + 24))
const pinY = computed(() => pin.value.y - rodShift.value)
const crankY = computed(() => CRANK_Y - rodShift.value)

const liftOf = (role: Role): number =>
  (valveLift(props.engine, role, props.crankDeg) / greatestLiftMm(props.engine)) * LIFT
const overhead = computed(() => props.engine.layout === 'overhead cam')
const SIDES: { role: Role; sign: 1 | -1 }[] = [
  { role: 'intake', sign: -1 },
  { role: 'exhaust', sign: 1 },
]

/**
 * Cam profile by the lift law, turned at half crank speed; `contactDeg` is where its follower touches, clockwise from
 * up.
 */
function camPath(role: Role, contactDeg: number, base: number, rise: number): string {
  const points: string[] = []
  for (let body = 0; body < 360; body += 4) {
    const r = base + (valveLift(props.engine, role, 2 * (contactDeg - body)) / greatestLiftMm(props.engine)) * rise
    const a = (body * Math.PI) / 180
    points.push(`${(r * Math.sin(a)).toFixed(2)} ${(-r * Math.cos(a)).toFixed(2)}`)
  }
  return `M ${points.join(' L ')} Z`
}
const VALVE_TILT = 20
const turnOf = (lift: number, arm: number): number => (Math.asin(Math.min(0.9, lift / arm)) * 180) / Math.PI
</script>

<template>
  <g class="section" :data-crank="crankDeg.toFixed(1)">
    <!-- crankcase and cylinder -->
    <path
      :d="`M -34 ${HEAD_Y + 66} L -34 ${crankY - 44} A 54 54 0 1 0 34 ${crankY - 44} L 34 ${HEAD_Y + 66}`"
      fill="var(--metal-light)"
      stroke="var(--ink)"
      stroke-width="1.2"
    />
    <path
      :d="`M -27 ${HEAD_Y + 66} L -27 ${crankY - 38} A 47 47 0 1 0 27 ${crankY - 38} L 27 ${HEAD_Y + 66}`"
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
        :height="crankY - HEAD_Y - 40"
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
    <g :transform="`translate(0 ${crankY}) rotate(${crankDeg})`">
      <path
        d="M -13 -34 A 13 13 0 0 1 13 -34 L 30 8 A 31 31 0 0 1 -30 8 Z"
        fill="var(--metal)"
        stroke="var(--ink)"
        stroke-width="1.2"
      />
    </g>
    <circle cx="0" :cy="crankY" r="9" fill="var(--sheet)" stroke="var(--ink)" stroke-width="1.2" />
    <path
      :d="`M -5 ${gudgeon} L ${pin.x - 7} ${pinY} L ${pin.x + 7} ${pinY} L 5 ${gudgeon} Z`"
      fill="var(--metal-mid)"
      stroke="var(--ink)"
      stroke-width="1.1"
    />
    <circle
      :cx="pin.x"
      :cy="pinY"
      r="10"
      fill="var(--metal-mid)"
      stroke="var(--ink)"
      stroke-width="1.2"
      class="crank-pin"
    />
    <circle :cx="pin.x" :cy="pinY" r="5" fill="var(--sheet)" stroke="var(--ink)" stroke-width="1" />
    <!-- piston -->
    <g class="piston" :transform="`translate(0 ${CROWN_TOP + drop})`" :data-drop="(drop / scale).toFixed(3)">
      <path
        d="M -27 0 L 27 0 L 27 40 L 15 40 Q 0 30 -15 40 L -27 40 Z"
        fill="var(--metal-light)"
        stroke="var(--ink)"
        stroke-width="1.2"
      />
      <path d="M -27 6 H 27 M -27 11 H 27 M -27 16 H 27" stroke="var(--ink)" stroke-width="1" />
    </g>
    <circle cx="0" :cy="gudgeon" r="5.5" fill="var(--sheet)" stroke="var(--ink)" stroke-width="1.1" />

    <template v-if="overhead">
      <g v-for="{ role, sign } in SIDES" :key="role">
        <!-- a valve moves along its own axis -->
        <g :transform="`translate(${sign * 20} ${HEAD_Y - 4}) rotate(${sign * VALVE_TILT})`">
          <g
            class="valve"
            :data-role="role"
            :data-lift="liftOf(role).toFixed(2)"
            :transform="`translate(0 ${liftOf(role)})`"
          >
            <path
              d="M -12 2 L 12 2 L 3 -7 L 2 -46 L -2 -46 L -3 -7 Z"
              fill="var(--metal)"
              stroke="var(--ink)"
              stroke-width="1"
            />
          </g>
          <path
            v-for="i in 4"
            :key="i"
            :d="`M -6 ${-20 - i * 5 + liftOf(role) * (i / 5)} L 6 ${-22.5 - i * 5 + liftOf(role) * (i / 5)}`"
            stroke="var(--ink)"
            stroke-width="1.1"
          />
          <rect
            x="-8"
            :y="-45 + liftOf(role)"
            width="16"
            height="3"
            fill="var(--metal-mid)"
            stroke="var(--ink)"
            stroke-width=".8"
          />
        </g>
        <!-- rocker: cam end down by the lobe, valve end follows -->
        <g :transform="`translate(${sign * 22} ${HEAD_Y - 58})`">
          <g :transform="`rotate(${sign * turnOf(liftOf(role), 17)})`">
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
          <path :d="camPath('exhaust', 55, 7, 7)" fill="var(--metal-light)" stroke="var(--ink)" stroke-width="1" />
          <path :d="camPath('intake', -55, 7, 7)" fill="var(--metal)" stroke="var(--ink)" stroke-width="1" />
        </g>
        <circle r="3" fill="var(--ink)" />
      </g>
    </template>

    <template v-else>
      <g v-for="{ role, sign } in SIDES" :key="role">
        <g :transform="`translate(${sign * 18} ${HEAD_Y - 4})`">
          <g
            class="valve"
            :data-role="role"
            :data-lift="liftOf(role).toFixed(2)"
            :transform="`translate(0 ${liftOf(role)})`"
          >
            <path
              d="M -11 2 L 11 2 L 3 -7 L 2 -46 L -2 -46 L -3 -7 Z"
              fill="var(--metal)"
              stroke="var(--ink)"
              stroke-width="1"
            />
          </g>
          <path
            v-for="i in 4"
            :key="i"
            :d="`M -6 ${-20 - i * 5 + liftOf(role) * (i / 5)} L 6 ${-22.5 - i * 5 + liftOf(role) * (i / 5)}`"
            stroke="var(--ink)"
            stroke-width="1.1"
          />
          <rect
            x="-8"
            :y="-45 + liftOf(role)"
            width="16"
            height="3"
            fill="var(--metal-mid)"
            stroke="var(--ink)"
            stroke-width=".8"
          />
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
            ><path :d="camPath(role, 0, 12, LIFT)" fill="var(--metal)" stroke="var(--ink)" stroke-width="1.1"
          /></g>
          <circle r="3" fill="var(--ink)" />
        </g>
        <g :transform="`translate(${sign * 41} ${HEAD_Y - 56})`">
          <g :transform="`rotate(${-sign * turnOf(liftOf(role), 23)})`">
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
    </template>

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
