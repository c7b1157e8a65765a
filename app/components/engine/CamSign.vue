<script setup lang="ts">
import { computed } from 'vue'
import type { CamPicture } from '~~/core/engine'

/** A sign on one sprocket or two as it looks when it is right; the line is the upper face of the head. */
const props = defineProps<{ picture: CamPicture; label: string }>()
/** The line of the head runs through the middle of the sprockets. */
const HEAD = 52
const WHEELS = { two: [38, 94], one: [66] }
const single = computed(() => props.picture === 'dot at arrow' || props.picture === 'hole level')
const wheels = computed(() => (single.value ? WHEELS.one : WHEELS.two))
/** Where each sprocket's sign is, as degrees clockwise from straight up. */
const SIGNS: Record<CamPicture, readonly number[]> = {
  'lines level': [270, 90],
  'dots face': [90, 270],
  'dots up': [0, 0],
  'lobes apart': [315, 45],
  'dot at arrow': [0],
  'hole level': [90],
}
const R = 26
const signs = computed(() =>
  SIGNS[props.picture].map((deg, i) => ({
    deg,
    cx: wheels.value[i]!,
    x: wheels.value[i]! + Math.sin((deg * Math.PI) / 180) * (R - 8),
    y: HEAD - Math.cos((deg * Math.PI) / 180) * (R - 8),
  })),
)
</script>

<template>
  <svg class="cam-sign" viewBox="0 0 132 104" role="img" :aria-label="label" :data-picture="picture">
    <path :d="`M 4 ${HEAD} H 128 V 96 H 4 Z`" fill="var(--metal-light)" />
    <template v-for="cx in wheels" :key="cx">
      <circle
        :cx="cx"
        :cy="HEAD"
        :r="R"
        fill="var(--metal-mid)"
        stroke="var(--ink)"
        stroke-width="5"
        stroke-dasharray="4 3.4"
      />
      <circle :cx="cx" :cy="HEAD" :r="R - 2.5" fill="var(--sheet)" stroke="var(--ink)" stroke-width="1.4" />
      <circle :cx="cx" :cy="HEAD" r="5" fill="var(--metal-mid)" stroke="var(--ink)" stroke-width="1.4" />
    </template>
    <path :d="`M 4 ${HEAD} H 128`" stroke="var(--ink)" stroke-width="2" />
    <template v-for="(sign, i) in signs" :key="i">
      <g v-if="picture === 'lobes apart'" :transform="`rotate(${sign.deg} ${sign.cx} ${HEAD})`">
        <path
          :d="`M ${sign.cx - 11} ${HEAD} a 11 11 0 0 0 22 0 L ${sign.cx + 5} ${HEAD - 24} q -5 -7 -10 0 Z`"
          fill="var(--petrol)"
        />
      </g>
      <path
        v-else-if="picture === 'lines level'"
        :d="`M ${sign.cx + (sign.deg === 90 ? 8 : -8)} ${HEAD} h ${sign.deg === 90 ? 16 : -16}`"
        stroke="var(--petrol)"
        stroke-width="6"
      />
      <circle
        v-else
        :cx="sign.x"
        :cy="sign.y"
        r="5"
        :fill="picture === 'hole level' ? 'var(--white)' : 'var(--petrol)'"
        stroke="var(--petrol)"
        stroke-width="2.6"
      />
    </template>
    <path v-if="picture === 'dot at arrow'" :d="`M 66 ${HEAD - R - 4} l -8 -14 h 16 Z`" fill="var(--ink)" />
  </svg>
</template>

<style scoped>
.cam-sign {
  display: block;
  width: 100%;
  height: auto;
}
</style>
