<script setup lang="ts">
import { eventWords, type JobEvent, type JobPin } from '~~/core/job'

/** Undo corrects the record, never the engine: for a movement it asks which of the two is meant. */
defineProps<{ event: JobEvent; pin: JobPin }>()
defineEmits<{ retract: [event: JobEvent, how: 'recorded wrongly' | 'turned back']; back: [] }>()
</script>

<template>
  <div class="undo">
    <h2>Recorded wrongly, or turned back?</h2>
    <p>{{ eventWords(pin, event) }}. Undo corrects the record only; it cannot move the engine.</p>
    <button type="button" class="key" @click="$emit('retract', event, 'recorded wrongly')">
      <span><b>Recorded wrongly</b><small>it never happened on the engine</small></span>
    </button>
    <button type="button" class="key" @click="$emit('retract', event, 'turned back')">
      <span><b>Turned back</b><small>it happened, and I undid it by hand</small></span>
    </button>
    <button type="button" class="quiet" @click="$emit('back')">Back <kbd>Esc</kbd></button>
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
.quiet {
  justify-self: start;
}
</style>
