<script setup lang="ts">
import { computed } from 'vue'
import type { Marked } from '~~/core/practice'
import { t } from '../../words'

const props = defineProps<{ marked: Marked; seconds: number; kept: string }>()
defineEmits<{ again: []; another: []; leave: [] }>()
const time = computed(() => `${Math.floor(props.seconds / 60)}:${String(props.seconds % 60).padStart(2, '0')}`)
</script>

<template>
  <div class="handed">
    <p class="label">{{ t('handed-over.finished-in', { time }) }}</p>
    <p class="score" data-testid="score">
      {{ marked.score }} <small>{{ t('handed-over.of-100') }}</small>
    </p>
    <p class="why">
      {{
        t('handed-over.mistakes-only-these-are-listed', {
          hints: marked.hints,
          mistakes: marked.marks.filter(m => m.grade !== 'right').length,
        })
      }}
    </p>
    <p class="why" role="status">{{ kept }}</p>
    <div class="after">
      <button type="button" class="key go" @click="$emit('again')">
        {{ t('handed-over.the-same-engine-again') }}</button><button
        type="button"
        class="key go"
        @click="$emit('another')"
      >
        {{ t('handed-over.another-one-like-it') }}</button
      ><button type="button" class="key go" @click="$emit('leave')">{{ t('handed-over.choose-another') }}</button>
    </div>
  </div>
</template>

<style scoped>
.handed {
  display: grid;
  gap: 14px;
  align-content: start;
  grid-row: 1 / -1;
}
.label {
  font: 600 15px/1.2 var(--figures);
  color: var(--petrol);
}
.score {
  font: 700 64px/1 var(--figures);
}
.score small {
  font-size: 22px;
  color: var(--ink2);
}
.why {
  font-size: 17px;
  line-height: 22px;
  color: var(--ink2);
}
.after {
  display: grid;
  gap: 10px;
  align-content: start;
  margin-top: 10px;
}
.key {
  height: auto;
}
.go {
  min-height: 60px;
  place-items: center;
  font: 600 20px/1.1 var(--figures);
}
</style>
