<script setup lang="ts">
import type { StripValve } from '../../bench/strip'
import { t } from '../../words'
import { VERDICT_WORDS } from './verdict-words'
import VerdictShape from './VerdictShape.vue'

/** On a phone the valves are tabs with their verdict's shape. */
defineProps<{ valves: StripValve[]; active: string | null }>()
defineEmits<{ choose: [valveId: string] }>()
</script>

<template>
  <nav class="tabs" :aria-label="t('common.valves')">
    <button
      v-for="v in valves"
      :key="v.valveId"
      type="button"
      :class="{ active: v.valveId === active }"
      :aria-pressed="v.valveId === active"
      @click="$emit('choose', v.valveId)"
    >
      <VerdictShape :verdict="v.verdict" /><span
        >{{ v.name }}<span class="hidden-words">, {{ VERDICT_WORDS[v.verdict] }}</span></span
      >
    </button>
  </nav>
</template>

<style scoped>
.tabs {
  grid-auto-flow: column;
  grid-auto-columns: minmax(84px, 1fr);
  overflow-x: auto;
  background: var(--sunk);
  border-bottom: 1px solid var(--ink);
}
button {
  background: none;
  border: 0;
  border-right: 1px solid var(--line);
  border-bottom: 5px solid transparent;
  display: grid;
  justify-items: center;
  align-content: center;
  gap: 3px;
  font: 600 15px/1.05 var(--figures);
  padding: 2px 4px;
  text-align: center;
}
.active {
  background: var(--ground);
  border-bottom-color: var(--petrol);
}
</style>
