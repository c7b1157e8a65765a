<script setup lang="ts">
import type { Proof, Verdict } from '~~/core/feeler'
import { t } from '../../words'
import { VERDICT_WORDS } from '../bench/verdict-words'

/** A verdict in black: its shape and its word. */
defineProps<{ verdict: Verdict; proof?: Proof | null }>()
</script>

<template>
  <span class="print-verdict">
    <svg width="13" height="13" viewBox="0 0 13 13" aria-hidden="true">
      <template v-if="verdict === 'in'">
        <circle cx="6.5" cy="6.5" r="5.8" fill="none" stroke="#111" stroke-width="1.3" />
        <path d="M 3.6 6.8 L 5.8 8.9 L 9.6 4.4" fill="none" stroke="#111" stroke-width="1.5" />
      </template>
      <path v-else-if="verdict === 'tight'" d="M .5 1.5 H 12.5 L 6.5 12 Z" fill="#111" />
      <path
        v-else-if="verdict === 'loose'"
        d="M 1 11.5 H 12 L 6.5 1.5 Z"
        fill="none"
        stroke="#111"
        stroke-width="1.4"
      />
      <path
        v-else
        d="M 1 1 H 12 V 12 H 1 Z M 1 7 L 7 1 M 1 12 L 12 1 M 7 12 L 12 7"
        fill="none"
        stroke="#111"
        stroke-width="1.2"
      />
    </svg>
    {{ VERDICT_WORDS[verdict] }}<template v-if="proof">{{ t('print-verdict.by', { proof }) }}</template>
  </span>
</template>

<style scoped>
.print-verdict {
  display: inline-flex;
  gap: 4px;
  align-items: center;
  white-space: nowrap;
}
</style>
