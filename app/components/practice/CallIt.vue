<script setup lang="ts">
import Button from 'primevue/button'
import { t } from '../../words'
import { VERDICT_WORDS } from '../bench/verdict-words'

/** One's own verdict on a valve, by one's own measuring. */
defineProps<{ called: 'in' | 'tight' | 'loose' | null }>()
defineEmits<{ call: ['in' | 'tight' | 'loose'] }>()
</script>

<template>
  <div class="calls" role="group" :aria-label="t('call-it.call-the-valve')">
    <span>{{ t('call-it.call-it') }}</span><Button
      v-for="v in ['in', 'tight', 'loose'] as const"
      :key="v"
      severity="secondary"
      outlined
      :class="{ on: called === v }"
      :aria-pressed="called === v"
      @click="$emit('call', v)"
    >
      {{ VERDICT_WORDS[v] }}
    </Button>
  </div>
</template>

<style scoped>
.calls {
  display: grid;
  grid-template-columns: auto repeat(3, 1fr);
  gap: 6px;
  align-items: center;
  font: 600 16px/1 var(--figures);
}
.calls .p-button {
  justify-content: center;
}
.on {
  border-color: var(--petrol);
  box-shadow: inset 0 -3px 0 var(--petrol);
}
</style>
