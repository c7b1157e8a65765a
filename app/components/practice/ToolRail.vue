<script setup lang="ts">
import type { Tool } from '../../composables/usePractice'
import { t } from '../../words'

/** The six hand tools, with what each last told. */
defineProps<{ tool: Tool; words: Record<Tool, string> }>()
defineEmits<{ take: [tool: Tool] }>()
const TOOLS: { id: Tool; name: string; key: string; icon: string }[] = [
  { id: 'crank', name: t('common.crank'), key: 'C', icon: 'M 11 4 a 7 7 0 1 0 0.01 0 M 11 11 L 17 4' },
  {
    id: 'window',
    name: t('common.window'),
    key: 'W',
    icon: 'M 11 3 a 8 8 0 1 0 0.01 0 M 3 11 H 15 M 19 8 L 15 11 L 19 14',
  },
  { id: 'rockers', name: t('common.rockers'), key: 'R', icon: 'M 3 13 Q 11 3 19 13 M 11 8 V 10 M 3 13 V 17' },
  { id: 'rod', name: t('common.soft-rod'), key: 'D', icon: 'M 11 2 V 15 M 8 5 h 3 M 8 9 h 3 M 4 18 H 18' },
  { id: 'blade', name: t('common.blade'), key: 'B', icon: 'M 3 8 H 16 Q 19 11 16 14 H 3 Z' },
  { id: 'screw', name: t('common.screw'), key: 'X', icon: 'M 11 3 a 8 8 0 1 0 0.01 0 M 5.5 14 L 16.5 8' },
]
</script>

<template>
  <nav class="rail" :aria-label="t('tool-rail.hand-tools')">
    <button
      v-for="rung in TOOLS"
      :key="rung.id"
      type="button"
      class="tool"
      :class="{ taken: rung.id === tool }"
      :aria-pressed="rung.id === tool"
      :data-tool="rung.id"
      @click="$emit('take', rung.id)"
    >
      <svg width="24" height="22" viewBox="0 0 22 22" aria-hidden="true">
        <path
          :d="rung.icon"
          fill="none"
          stroke="currentColor"
          stroke-width="2"
          stroke-linecap="round"
          stroke-linejoin="round"
        />
      </svg>
      <span
        ><b
          >{{ rung.name }} <kbd>{{ rung.key }}</kbd></b
        ><small>{{ words[rung.id] }}</small></span
      >
    </button>
    <slot />
  </nav>
</template>

<style scoped>
.rail {
  border-right: 1.5px solid var(--ink);
  display: flex;
  flex-direction: column;
  min-height: 0;
  overflow: auto;
}
.tool {
  position: relative;
  display: grid;
  grid-template-columns: 24px minmax(0, 1fr);
  gap: 10px;
  align-items: center;
  min-height: 58px;
  flex: none;
  padding: 4px 8px 4px 16px;
  text-align: left;
  background: none;
  border: 0;
  border-bottom: 1px solid var(--line);
  cursor: pointer;
  color: var(--ink);
}
b {
  font: 600 19px/1.1 var(--figures);
  display: flex;
  justify-content: space-between;
  align-items: baseline;
}
small {
  display: block;
  font-size: 14.5px;
  line-height: 1.2;
  color: var(--ink2);
  white-space: nowrap;
  overflow: hidden;
  text-overflow: ellipsis;
}
.taken {
  background: var(--petrol);
  color: var(--on-petrol);
}
.taken small {
  color: var(--on-petrol);
}
.taken::after {
  content: '';
  position: absolute;
  right: 0;
  top: 50%;
  translate: 0 -50%;
  border: 9px solid transparent;
  border-right-color: var(--ground);
  border-left: 0;
}
kbd {
  font-size: 11.5px;
}
@media (max-width: 700px), (max-width: 1000px) and (orientation: portrait) {
  .rail {
    display: grid;
    grid-template-columns: repeat(6, 1fr);
    border: 0;
    border-bottom: 1.5px solid var(--ink);
  }
  .tool {
    grid-template-columns: 1fr;
    gap: 1px;
    padding: 5px 2px;
    border-right: 1px solid var(--line);
    border-bottom: 0;
    justify-items: center;
    text-align: center;
    min-height: 52px;
  }
  .tool b {
    display: block;
    font-size: 15px;
  }
  .tool small,
  .tool kbd,
  .taken::after {
    display: none;
  }
}
</style>
