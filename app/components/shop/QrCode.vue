<script setup lang="ts">
import { computed } from 'vue'
import { qrDrawing } from './qr-drawing'

/** An address as a code that a phone's camera reads. */
const props = defineProps<{ text: string; name: string }>()
const code = computed(() => qrDrawing(props.text))
</script>

<template>
  <svg
    class="qr"
    role="img"
    :aria-label="name"
    :viewBox="`0 0 ${code.side} ${code.side}`"
    width="240"
    height="240"
    shape-rendering="crispEdges"
  >
    <rect :width="code.side" :height="code.side" fill="#fff" />
    <path :d="code.path" fill="#000" />
  </svg>
</template>

<style scoped>
.qr {
  border: 1.5px solid var(--ink);
}
</style>
