<script setup lang="ts">
import { computed } from 'vue'
import type { SheetLift } from '~~/core/job'
import { endsOf, liftPaths } from '~~/core/job/sheet/lift-paths'
import { t } from '../../words'

/** What the gap as found did to the worst valve, in ink: solid as it should be, dashed as it was found. */
const props = defineProps<{ lift: SheetLift }>()
const BOX = { width: 108, height: 42 }
const stretches = computed(() =>
  (['opens', 'closes'] as const).map(which => ({
    title: which === 'opens' ? t('sheet-lift.opens') : t('sheet-lift.closes'),
    ends: endsOf(props.lift[which], props.lift),
    ...liftPaths(props.lift[which], BOX),
  })),
)
</script>

<template>
  <div class="sheet-lift">
    <h2>{{ t('sheet-lift.title', { name: lift.name }) }}</h2>
    <p class="gap-words">
      {{ t('sheet-lift.words', { words: lift.words, foundMm: lift.foundMm, wantedMm: lift.wantedMm }) }}
    </p>
    <div class="pair">
      <svg v-for="s in stretches" :key="s.title" :viewBox="`-2 -14 ${BOX.width + 4} ${BOX.height + 30}`" role="img">
        <title>{{ s.title }}</title>
        <text x="0" y="-4" font-size="10.5">{{ s.title }}</text>
        <path :d="`M 0 0 V ${BOX.height} H ${BOX.width}`" fill="none" stroke="#111" stroke-width="1" />
        <path :d="s.wanted" fill="none" stroke="#111" stroke-width="1.8" />
        <path :d="s.found" fill="none" stroke="#111" stroke-width="1.4" stroke-dasharray="4 3" />
        <text x="0" :y="BOX.height + 12" font-size="10">{{ s.ends[0] }}°</text>
        <text :x="BOX.width" :y="BOX.height + 12" font-size="10" text-anchor="end">{{ s.ends[1] }}°</text>
      </svg>
    </div>
    <p class="small">{{ t('sheet-lift.legend', { camKnown: lift.camKnown }) }}</p>
  </div>
</template>

<style scoped>
/* low and wide: what was found, the legend below it, the curves beside both */
.sheet-lift {
  display: grid;
  grid-template: 'title title' auto 'words pair' auto 'legend pair' 1fr / minmax(0, 1fr) minmax(0, 1.15fr);
  column-gap: 12px;
}
h2 {
  grid-area: title;
}
.gap-words {
  grid-area: words;
}
.small {
  grid-area: legend;
}
.pair {
  grid-area: pair;
  display: grid;
  grid-template-columns: 1fr 1fr;
  gap: 12px;
}
svg {
  width: 100%;
  height: auto;
  display: block;
}
</style>
