<script setup lang="ts">
import { computed } from 'vue'
import { PULL_N } from '~~/core/practice'
import { t } from '../../words'

/**
 * The pull on a blade as it slides: the force now, the most on this stroke, and how it went. Feels are named on the
 * first level only.
 */
const props = defineProps<{ forceN: number; mostN: number; trace: number[]; zones: boolean }>()
const MOST = 16
const W = 270
const x = (n: number) => (Math.min(n, MOST) / MOST) * W
const ZONES = [
  ['free', 0, PULL_N.leastDrag - 0.2],
  ['drag', PULL_N.leastDrag - 0.2, 3.5],
  ['pinched', 3.5, 13.5],
  ['no-go', 13.5, MOST],
] as const
const path = computed(() =>
  props.trace
    .map((n, i) => `${i ? 'L' : 'M'} ${((i / 40) * W).toFixed(1)} ${(44 - (Math.min(n, MOST) / MOST) * 40).toFixed(1)}`)
    .join(' '),
)
</script>

<template>
  <div class="pull">
    <p>
      <b>{{ t('pull-bar.pull-on-the-blade') }}</b><strong data-testid="pull">{{ forceN.toFixed(1) }} N</strong>
    </p>
    <svg :viewBox="`-2 -16 ${W + 4} 56`" aria-hidden="true">
      <text
        v-for="n in [0, 4, 8, 12, 16]"
        :key="n"
        :x="x(n)"
        y="-4"
        :text-anchor="n === 0 ? 'start' : n === 16 ? 'end' : 'middle'"
        font-size="13"
        font-weight="500"
      >
        {{ n }}{{ n ? '' : ' N' }}
      </text>
      <rect x="0" y="2" :width="W" height="22" fill="var(--white)" stroke="var(--ink)" stroke-width="1.4" />
      <rect x="0" y="6" :width="x(forceN)" height="14" fill="var(--ink)" />
      <path v-if="mostN > 0" :d="`M ${x(mostN)} 2 v 22`" stroke="var(--petrol)" stroke-width="3" />
      <template v-if="zones">
        <g v-for="[name, from, to] in ZONES" :key="name">
          <path :d="`M ${x(from)} 24 v 4`" stroke="var(--ink)" stroke-width="1" />
          <text
            :x="name === 'free' ? 0 : (x(from) + x(to)) / 2 + (name === 'drag' ? 6 : 0)"
            y="38"
            :text-anchor="name === 'free' ? 'start' : 'middle'"
            font-size="11.5"
          >
            {{ t(`feel.${name}`) }}
          </text>
        </g>
      </template>
    </svg>
    <svg :viewBox="`-2 8 ${W + 4} 38`" aria-hidden="true">
      <path :d="`M 0 44 H ${W}`" stroke="var(--line)" />
      <path :d="path" fill="none" stroke="var(--ink)" stroke-width="2" />
    </svg>
  </div>
</template>

<style scoped>
.pull p {
  display: flex;
  justify-content: space-between;
  align-items: baseline;
  font: 600 16px/1.2 var(--figures);
}
strong {
  font-size: 24px;
}
@media (max-width: 700px) {
  svg + svg {
    display: none;
  }
}
svg {
  display: block;
  width: 100%;
  height: auto;
}
</style>
