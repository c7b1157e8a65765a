<script setup lang="ts">
import Button from 'primevue/button'
import { t } from '../../words'
import EndButton from '../forms/EndButton.vue'

/**
 * Below the answers: what was last said, a hint where hints are for the asking, and the end of it, which asks once
 * where something is still to do.
 */
defineProps<{ said: boolean; hints: boolean; done: boolean; clock: string }>()
defineEmits<{ hint: []; handOver: [] }>()
</script>

<template>
  <footer class="foot">
    <p>
      <b v-if="clock" class="clock">{{ clock }}</b>
      {{ said ? t('practice-foot.marked-at-the-end') : t('practice-foot.nothing-said-yet') }}
    </p>
    <Button v-if="hints" severity="secondary" outlined data-testid="hint" @click="$emit('hint')">
      {{ t('practice-foot.ask-costs-2') }} <kbd>H</kbd></Button
    ><Button
      v-if="done"
      class="ready"
      :label="t('practice-foot.finish-and-mark-it')"
      data-testid="hand-over"
      @click="$emit('handOver')"
    />
    <EndButton
      v-else
      :label="t('practice-foot.finish-and-mark-it')"
      :ask="t('practice-foot.not-all-done')"
      data-testid="hand-over"
      @end="$emit('handOver')"
    />
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
.clock {
  font: 600 19px/1 var(--figures);
  color: var(--ink);
}
@media (max-width: 700px) {
  .foot {
    padding-top: 6px;
  }
}
</style>
