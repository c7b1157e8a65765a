<script setup lang="ts">
import { type CardLine, type JobPin, lineWords } from '~~/core/job'
import { lineKey } from '../../bench/blades-in-hand'
import { tell } from '../../words'

/** What a practiced hand says before the work, a line each: a tap says that one is not so. */
defineProps<{ pin: JobPin; lines: CardLine[]; notSo: ReadonlySet<string> }>()
defineEmits<{ tap: [line: CardLine] }>()
</script>

<template>
  <ul class="card">
    <li v-for="line in lines" :key="lineKey(line)">
      <button
        type="button"
        class="line"
        :data-line="lineKey(line)"
        :aria-pressed="!notSo.has(lineKey(line))"
        @click="$emit('tap', line)"
      >
        <i aria-hidden="true">{{ notSo.has(lineKey(line)) ? '' : '✓' }}</i><span>{{ tell(lineWords(pin, line)) }}</span>
      </button>
    </li>
  </ul>
</template>

<style scoped>
.card {
  list-style: none;
  margin: 0;
  padding: 24px;
  display: grid;
  gap: 8px;
  align-content: start;
  max-width: 720px;
  overflow: auto;
  height: 100%;
}
.line {
  width: 100%;
  min-height: 52px;
  display: grid;
  grid-template-columns: 28px 1fr;
  gap: 12px;
  align-items: center;
  padding: 8px 12px;
  border: 1.5px solid var(--ink);
  border-radius: 8px;
  background: var(--sheet);
  color: var(--ink);
  font: 600 19px/1.25 var(--figures);
  text-align: left;
  cursor: pointer;
  overflow-wrap: anywhere;
}
.line i {
  width: 26px;
  height: 26px;
  border: 1.8px solid var(--ink2);
  border-radius: 4px;
  font: 700 22px/22px var(--figures);
  text-align: center;
}
.line[aria-pressed='true'] i {
  background: var(--petrol);
  border-color: var(--petrol);
  color: var(--on-petrol);
}
.line[aria-pressed='false'] {
  background: transparent;
  border-style: dashed;
  color: var(--ink2);
}
.line[aria-pressed='false'] span {
  text-decoration: line-through;
}
@media (max-width: 700px) {
  .card {
    padding: 12px 16px;
    height: auto;
  }
  .line {
    font-size: 17px;
  }
}
</style>
