<script setup lang="ts">
import QRCode from 'qrcode'
import { computed } from 'vue'
import { t } from '../../words'

/** The tag that hangs on a machine: its number in letters, and as a code that opens its page on a phone. */
const props = defineProps<{ tag: string; lines: string[]; address: string }>()
/**
 * Error correction M: a thumb's grease may hide a seventh of it. The quiet zone is four cells, as the standard wants.
 */
const code = computed(() => QRCode.create(props.address, { errorCorrectionLevel: 'M' }).modules)
const QUIET = 4
const path = computed(() => {
  const { size, data } = code.value
  return Array.from(data, (dark, i) =>
    dark ? `M ${(i % size) + QUIET} ${Math.floor(i / size) + QUIET} h 1 v 1 h -1 Z` : '',
  )
    .filter(Boolean)
    .join(' ')
})
const side = computed(() => code.value.size + 2 * QUIET)
const short = (text: string) => (text.length > 26 ? `${text.slice(0, 25)}…` : text)
</script>

<template>
  <svg class="tag" viewBox="0 0 336 128" role="img" :aria-label="t('machine-tag.tag', { tag })" data-testid="tag">
    <path d="M 22 1 H 335 V 127 H 22 L 1 104 V 24 Z" fill="#fff" stroke="#172125" stroke-width="1.6" />
    <circle cx="19" cy="64" r="6" fill="none" stroke="#172125" stroke-width="1.6" />
    <svg x="34" y="6" width="116" height="116" :viewBox="`0 0 ${side} ${side}`" shape-rendering="crispEdges">
      <rect :width="side" :height="side" fill="#fff" />
      <path :d="path" fill="#000" />
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
