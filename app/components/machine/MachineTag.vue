<script setup lang="ts">
import { computed } from 'vue'
import { t } from '../../words'
import { qrDrawing } from '../shop/qr-drawing'

/** The tag that hangs on a machine: its number in letters, and as a code that opens its page on a phone. */
const props = defineProps<{ tag: string; lines: string[]; address: string }>()
const code = computed(() => qrDrawing(props.address))
const short = (text: string) => (text.length > 26 ? `${text.slice(0, 25)}…` : text)
</script>

<template>
  <svg class="tag" viewBox="0 0 336 128" role="img" :aria-label="t('machine-tag.tag', { tag })" data-testid="tag">
    <path d="M 22 1 H 335 V 127 H 22 L 1 104 V 24 Z" fill="#fff" stroke="#172125" stroke-width="1.6" />
    <circle cx="19" cy="64" r="6" fill="none" stroke="#172125" stroke-width="1.6" />
    <svg x="34" y="6" width="116" height="116" :viewBox="`0 0 ${code.side} ${code.side}`" shape-rendering="crispEdges">
      <rect :width="code.side" :height="code.side" fill="#fff" />
      <path :d="code.path" fill="#000" />
    </svg>
    <text x="160" y="34" font-size="28" font-weight="700" style="fill: #172125">{{ tag }}</text>
    <text
      v-for="(l, i) in lines"
      :key="i"
      x="160"
      :y="56 + i * 19"
      font-size="15"
      font-weight="500"
      style="fill: #172125"
    >
      {{ short(l) }}
    </text>
  </svg>
</template>

<style scoped>
.tag {
  width: 100%;
  display: block;
}
</style>
