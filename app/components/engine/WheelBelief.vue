<script setup lang="ts">
import { computed } from 'vue'
import { at, xy } from './geometry'
import { C, type Lobe, TRACK } from './wheel-layout'

/** Where the crank may stand: a lobe for each place, a hand at the likeliest, dashed ones at the others. */
const props = defineProps<{ lobes: Lobe[]; crankDeg: number; disc: number; compact: boolean }>()
const hand = computed(() =>
  props.lobes.length === 0 ? null : { from: at(C, props.disc, props.crankDeg), to: at(C, TRACK + 20, props.crankDeg) },
)
const others = computed(() =>
  props.lobes.slice(1).map(l => ({ from: at(C, props.disc, l.peakDeg), to: at(C, TRACK + 4, l.peakDeg) })),
)
</script>

<template>
  <g>
    <path
      v-for="(lobe, i) in lobes"
      :key="i"
      :d="lobe.path"
      class="lobe"
      :data-probability="lobe.probability.toFixed(3)"
      :fill="lobe.likeliest ? 'var(--petrol)' : 'var(--petrol-tint)'"
      :stroke="lobe.likeliest ? 'none' : 'var(--petrol)'"
      stroke-dasharray="4 3"
    />
    <template v-if="!compact">
      <text
        v-for="(lobe, i) in lobes.filter(l => l.probability > 0.02 && l.probability < 0.94)"
        :key="`p${i}`"
        :x="lobe.words.x"
        :y="lobe.words.y + 6"
        text-anchor="middle"
        font-size="17"
        font-weight="700"
        style="fill: var(--petrol)"
      >
        {{ Math.round(lobe.probability * 100) }}%
      </text>
    </template>
    <path
      v-for="(o, i) in others"
      :key="`o${i}`"
      :d="`M ${xy(o.from)} L ${xy(o.to)}`"
      stroke="var(--petrol)"
      stroke-width="1.6"
      stroke-dasharray="5 4"
    />
    <path v-if="hand" :d="`M ${xy(hand.from)} L ${xy(hand.to)}`" stroke="var(--petrol)" stroke-width="3" class="hand" />
  </g>
</template>
