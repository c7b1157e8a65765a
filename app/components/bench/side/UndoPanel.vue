<script setup lang="ts">
import { eventWords, type JobEvent, type JobPin } from '~~/core/job'
import { t, tell } from '../../../words'
import BackButton from './BackButton.vue'
/** Undo corrects the record, never the engine: for a movement it asks which of the two is meant. */
defineProps<{ event: JobEvent; pin: JobPin }>()
defineEmits<{ retract: [event: JobEvent, how: 'recorded wrongly' | 'turned back']; back: [] }>()
</script>

<template>
  <div class="undo">
    <h2>{{ t('undo-panel.recorded-wrongly-or-turned-back') }}</h2>
    <p>{{ t('undo-panel.undo-corrects-the-record-only', { answer: tell(eventWords(pin, event)) }) }}</p>
    <button type="button" class="key" @click="$emit('retract', event, 'recorded wrongly')">
      <span
        ><b>{{ t('undo-panel.recorded-wrongly') }}</b
        ><small>{{ t('undo-panel.it-never-happened-on-the') }}</small></span
      >
    </button>
    <button type="button" class="key" @click="$emit('retract', event, 'turned back')">
      <span
        ><b>{{ t('undo-panel.turned-back') }}</b
        ><small>{{ t('undo-panel.it-happened-and-i-undid') }}</small></span
      >
    </button>
    <BackButton @back="$emit('back')" />
  </div>
</template>

<style scoped>
.undo {
  display: grid;
  gap: 12px;
  align-content: start;
}
h2 {
  font-size: 28px;
  line-height: 31px;
}
p {
  color: var(--ink2);
}
.key {
  padding: 10px 16px;
}
b {
  display: block;
  font: 600 21px/1.2 var(--figures);
}
small {
  font-size: 15px;
  color: var(--ink2);
}
.p-button {
  justify-self: start;
}
</style>
