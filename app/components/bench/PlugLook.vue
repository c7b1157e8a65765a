<script setup lang="ts">
import type { Drawing } from '~~/core/job'

/** The end of a spark plug as it looks: thread, nose and the bent electrode, in the state that is meant. */
defineProps<{ drawing: Drawing }>()
const NOSE: Record<Drawing, string> = {
  'plug gray-to-brown': 'var(--plug-brown)',
  'plug black-or-wet': 'var(--plug-black)',
  'plug white-blistered': 'var(--white)',
}
</script>

<template>
  <svg class="plug-look" viewBox="0 0 44 52" aria-hidden="true" :data-drawing="drawing">
    <path d="M 8 2 H 36 V 24 H 8 Z" fill="var(--metal-light)" stroke="var(--ink)" stroke-width="1.6" />
    <path d="M 8 7 H 36 M 8 12 H 36 M 8 17 H 36" stroke="var(--ink)" stroke-width="1.2" />
    <path d="M 15 24 L 18 35 H 26 L 29 24 Z" :fill="NOSE[drawing]" stroke="var(--ink)" stroke-width="1.6" />
    <path d="M 20.5 35 h 3 v 5 h -3 Z" fill="var(--metal-mid)" stroke="var(--ink)" stroke-width="1.2" />
    <path d="M 34 24 V 42 Q 34 47 29 47 H 18" fill="none" stroke="var(--ink)" stroke-width="4.4" />
    <path d="M 34 24 V 42 Q 34 47 29 47 H 18" fill="none" :stroke="NOSE[drawing]" stroke-width="1.8" />
    <template v-if="drawing === 'plug black-or-wet'">
      <path d="M 12 26 q 2 5 0 7 q -2 -2 0 -7 M 39 30 q 2.4 6 0 8 q -2.4 -2 0 -8" fill="var(--plug-black)" />
    </template>
    <g v-else-if="drawing === 'plug white-blistered'" fill="none" stroke="var(--ink)" stroke-width="1">
      <circle cx="20" cy="28" r="1.5" />
      <circle cx="24" cy="31.5" r="1.2" />
      <circle cx="25" cy="27" r="1" />
    </g>
  </svg>
</template>

<style scoped>
.plug-look {
  --plug-brown: #a88c6c;
  --plug-black: #2a2623;
  height: 52px;
  width: 44px;
  flex: none;
}
</style>
