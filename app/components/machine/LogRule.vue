<script setup lang="ts">
import { computed } from 'vue'
import type { ValvePoint } from '~~/shared/machines'
import { t } from '../../words'
import { VERDICT_WORDS } from '../bench/verdict-words'
import VerdictShape from '../bench/VerdictShape.vue'

/** One valve at one visit: a short rule with two lanes, as found above and as left below, and the verdicts of both. */
const props = defineProps<{ point: ValvePoint; name: string }>()
const [W, H] = [48, 33]
const topMm = computed(() =>
  Math.max(props.point.maxMm * 1.6, (props.point.asFound?.hiMm ?? props.point.asFound?.loMm ?? 0) * 1.1),
)
const x = (mm: number) => 1 + Math.min(1.02, mm / topMm.value) * (W - 2)
const FILL = { in: 'var(--petrol)', tight: 'var(--tight)', loose: 'var(--loose-fill)', unproved: 'var(--hatch)' }
/** One lane alone where nothing was touched: what was found is what was left. */
const bars = computed(() => {
  const { asFound, asLeft, touched } = props.point
  if (!touched) {
    const r = asLeft ?? asFound
    return r ? [{ r, y: 11, h: 11 }] : []
  }
  return [...(asFound ? [{ r: asFound, y: 4, h: 10 }] : []), ...(asLeft ? [{ r: asLeft, y: 19, h: 10 }] : [])]
})
const short = computed(() =>
  props.name
    .replace(/intake/i, 'int')
    .replace(/exhaust/i, 'exh')
    .replace(/^(\w)\w+ (?=int|exh)/i, '$1 '),
)
const verdicts = computed(() => [
  ...(props.point.touched && props.point.asFound ? [props.point.asFound.verdict] : []),
  (props.point.asLeft ?? props.point.asFound)?.verdict ?? ('not measured' as const),
])
</script>

<template>
  <li class="log-rule">
    <svg :width="W" :height="H" :viewBox="`0 0 ${W} ${H}`" aria-hidden="true">
      <rect
        x=".75"
        y=".75"
        :width="W - 1.5"
        :height="H - 1.5"
        fill="var(--white)"
        stroke="var(--ink)"
        stroke-width="1.5"
      />
      <rect
        :x="x(point.minMm)"
        y="1.5"
        :width="Math.max(2, x(point.maxMm) - x(point.minMm))"
        :height="H - 3"
        fill="var(--petrol-tint)"
      />
      <rect
        v-for="(b, i) in bars"
        :key="i"
        :x="x(b.r.loMm)"
        :y="b.y"
        :width="Math.max(4, x(b.r.hiMm ?? 9) - x(b.r.loMm))"
        :height="b.h"
        :fill="FILL[b.r.verdict]"
      />
    </svg>
    <span class="shapes"
      ><template v-for="(v, i) in verdicts" :key="i"
        ><span v-if="i" aria-hidden="true">→</span><VerdictShape :verdict="v" :size="18" /></template
    ></span>
    <small>{{ short }}</small><span class="hidden-words"
      >{{ name }}: {{ verdicts.map(v => VERDICT_WORDS[v].toLowerCase()).join(t('log-rule.then')) }}</span
    >
  </li>
</template>

<style scoped>
.log-rule {
  display: grid;
  justify-items: center;
  gap: 4px;
}
.shapes {
  display: flex;
  align-items: center;
  gap: 2px;
  font-size: 14px;
}
small {
  font: 500 14px/1.1 var(--figures);
  color: var(--ink2);
  white-space: nowrap;
}
</style>
