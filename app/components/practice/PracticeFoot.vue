<script setup lang="ts">
import Button from 'primevue/button'
import { t } from '../../words'

/** Below the answers: what was last said, a hint where hints are for the asking, and the end of it. */
defineProps<{ said: boolean; hints: boolean; done: boolean }>()
defineEmits<{ hint: []; handOver: [] }>()
</script>

<template>
  <footer class="foot">
    <p>{{ said ? t('practice-foot.marked-at-the-end') : t('practice-foot.nothing-said-yet') }}</p>
    <Button v-if="hints" severity="secondary" outlined data-testid="hint" @click="$emit('hint')">
      {{ t('practice-foot.ask-costs-2') }} <kbd>H</kbd></Button
    ><Button severity="secondary" outlined :class="{ ready: done }" data-testid="hand-over" @click="$emit('handOver')">
      {{ t('practice-foot.finish-and-mark-it') }}
    </Button>
  </footer>
</template>

<style scoped>
.foot {
  grid-row: 4;
  align-self: end;
  border-top: 1px solid var(--line);
  padding-top: 10px;
  display: grid;
  grid-template-columns: minmax(0, 1fr) auto auto;
  gap: 8px;
  align-items: center;
}
.foot p {
  font-size: 15px;
  line-height: 1.25;
  color: var(--ink2);
}
.ready {
  background: var(--petrol);
  color: var(--on-petrol);
  border-color: var(--petrol);
}
</style>
