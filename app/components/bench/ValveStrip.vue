<script setup lang="ts">
import type { StripValve } from '../../bench/strip'
import { t } from '../../words'
import ClearanceRule from './ClearanceRule.vue'
import { VERDICT_COLOR, VERDICT_WORDS } from './verdict-words'
import VerdictShape from './VerdictShape.vue'

/** A cell a valve along the bottom of the Bench: its verdict, its rule, its figures in both units. */
defineProps<{ valves: StripValve[]; active: string | null; topMm: number }>()
defineEmits<{ choose: [valveId: string] }>()
</script>

<template>
  <section class="strip" :class="{ many: valves.length > 4 }" :aria-label="t('common.valves')">
    <button
      v-for="valve in valves"
      :key="valve.valveId"
      type="button"
      class="cell"
      :class="{ active: valve.valveId === active }"
      :aria-pressed="valve.valveId === active"
      :data-valve="valve.valveId"
      :data-verdict="valve.verdict"
      @click="$emit('choose', valve.valveId)"
    >
      <span class="head">
        <span class="name">{{ valve.name }}</span>
        <span class="verdict" :style="{ color: VERDICT_COLOR[valve.verdict] }"
          ><VerdictShape :verdict="valve.verdict" /> {{ VERDICT_WORDS[valve.verdict]
          }}<span v-if="valve.caution" class="doubt" :title="valve.caution" :aria-label="valve.caution" role="img"
            >±</span
          ></span
        >
      </span>
      <ClearanceRule
        class="rule"
        :min-mm="valve.minMm"
        :max-mm="valve.maxMm"
        :target-mm="valve.targetMm"
        :top-mm="topMm"
        :reading="valve.reading"
        :verdict="valve.verdict"
        :as-left="valve.asLeft"
        :trials="valve.trials"
        :length="valves.length > 4 ? 170 : valves.length > 2 ? 280 : 430"
        :sparse="valves.length > 4"
      />
      <span class="foot"
        ><span>{{ valve.lookAgain ? t('valve-strip.look-again-an-answer-was') : valve.words }}</span
        ><span>{{ valve.other }}</span></span
      >
    </button>
  </section>
</template>

<style scoped>
.strip {
  display: grid;
  grid-auto-flow: column;
  grid-auto-columns: minmax(0, 480px);
  background: var(--sunk);
  border-top: 1.5px solid var(--ink);
  overflow: hidden;
}
.strip.many {
  grid-auto-columns: minmax(0, 1fr);
}
.many .cell {
  padding-inline: 8px;
}
.many .head {
  display: grid;
  gap: 0;
}
.many .name,
.many .verdict {
  font-size: 16px;
}
.many .foot > :last-child {
  display: none;
}
.many .foot {
  font-size: 14px;
  overflow: hidden;
}
.many .rule {
  height: 70px;
}
.cell {
  background: none;
  border: 0;
  border-right: 1px solid var(--line);
  padding: 11px 20px 8px;
  display: grid;
  grid-template-rows: auto 1fr auto;
  gap: 2px;
  text-align: left;
  cursor: pointer;
  min-width: 0;
  border-top: 4px solid transparent;
}
.cell.active {
  background: var(--sheet);
  border-top-color: var(--petrol);
}
.head,
.foot {
  display: flex;
  justify-content: space-between;
  gap: 10px;
  align-items: center;
  font-family: var(--figures);
  white-space: nowrap;
}
.name {
  font-size: 18px;
  font-weight: 600;
}
.verdict {
  font-size: 17px;
  font-weight: 600;
  display: inline-flex;
  align-items: center;
  gap: 6px;
}
.doubt {
  font-size: 18px;
  font-weight: 700;
  color: var(--ink2);
}
.foot {
  font-size: 15px;
  font-weight: 500;
  color: var(--ink2);
}
.rule {
  height: 86px;
  width: auto;
  max-width: 100%;
  justify-self: start;
}
@media (min-width: 901px) and (max-height: 720px) {
  .cell {
    padding-block: 6px 4px;
    gap: 0;
  }
  .rule {
    height: 74px;
  }
}
@media (max-width: 900px) {
  .strip,
  .strip.many {
    grid-auto-columns: minmax(246px, 1fr);
    overflow-x: auto;
  }
  .cell {
    padding-inline: 14px;
  }
}
</style>
