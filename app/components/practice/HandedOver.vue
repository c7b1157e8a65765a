<script setup lang="ts">
import { computed } from 'vue'
import type { Marked } from '~~/core/practice'

const props = defineProps<{ marked: Marked; seconds: number; kept: string }>()
defineEmits<{ again: []; another: []; leave: [] }>()
const time = computed(() => `${Math.floor(props.seconds / 60)}:${String(props.seconds % 60).padStart(2, '0')}`)
const hints = computed(() => {
  const { hints } = props.marked
  return hints ? `${hints} ${hints === 1 ? 'hint' : 'hints'}. ` : ''
})
</script>

<template>
  <div class="handed">
    <p class="label">Finished in {{ time }}</p>
    <p class="score" data-testid="score">{{ marked.score }} <small>of 100</small></p>
    <p class="why">
      {{ hints }}{{ marked.marks.filter(m => m.grade !== 'right').length }} mistakes. Only these are listed.
    </p>
    <p class="why" role="status">{{ kept }}</p>
    <div class="after">
      <button type="button" class="key go" @click="$emit('again')">The same engine again</button
      ><button type="button" class="key go" @click="$emit('another')">Another one like it</button
      ><button type="button" class="key go" @click="$emit('leave')">Choose another</button>
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
