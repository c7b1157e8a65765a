<script setup lang="ts">
import { computed, useId } from 'vue'
import { type Engine, shapeOf } from '~~/core/engine'
import { marksSeen, WINDOW_HALF_DEG } from '~~/core/practice'
import { t } from '../../words'
import MarkShape from '../engine/MarkShape.vue'

/** The mark window as it looks now: the rim goes by under a notch, the way it turns from where the mechanic stands. */
const props = defineProps<{ engine: Engine; crankDeg: number; covered: boolean }>()
const clip = useId()
const R = 92
const PX = R / WINDOW_HALF_DEG
const sign = computed(() => (props.engine.turning.direction === 'clockwise' ? 1 : -1))
const lines = computed(() =>
  props.covered ? [] : marksSeen(props).map(m => ({ ...m, x: -sign.value * m.offDeg * PX })),
)
const words = computed(() =>
  props.covered
    ? t('live-window.the-window-is-covered')
    : lines.value.length
      ? t('live-window.in-the-window', {
          lines: lines.value
            .map(l => (l.atPointer ? t('live-window.at-the-pointer', { letter: l.letter }) : l.letter))
            .join(', '),
        })
      : t('live-window.no-line-in-the-window'),
)
</script>

<template>
  <svg viewBox="-112 -124 224 244" role="img" :aria-label="words" data-testid="window">
    <defs>
      <clipPath :id="clip"><circle r="92" /></clipPath>
    </defs>
    <text y="-108" text-anchor="middle" font-size="15" font-weight="600">{{ t('common.window') }}</text>
    <circle r="100" fill="var(--sunk)" stroke="var(--ink)" stroke-width="1.8" />
    <circle r="92" :fill="covered ? 'var(--metal-mid)' : 'var(--metal-light)'" stroke="var(--ink)" stroke-width="1.5" />
    <g :clip-path="`url(#${clip})`">
      <path v-if="!covered" d="M -95 -44 H 95 M -95 44 H 95" stroke="var(--line)" stroke-width="1.2" />
      <g
        v-for="line in lines"
        :key="line.markIndex"
        :transform="`translate(${line.x.toFixed(2)} 0)`"
        class="line"
        :data-letter="line.letter"
      >
        <MarkShape
          :shape="shapeOf(line)"
          :letter="line.letter"
          :sign="sign"
          :half="42"
          :bold="line.kind === 'top'"
          :font-size="26"
        />
      </g>
    </g>
    <text v-if="covered" y="6" text-anchor="middle" font-size="17" font-weight="600">
      {{ t('common.covered') }}
    </text>
    <template v-else>
      <path d="M -11 -92 H 11 L 0 -70 Z" fill="var(--ink)" />
      <path d="M -11 92 H 11 L 0 70 Z" fill="var(--ink)" />
      <path
        :d="sign > 0 ? 'M -30 112 h 60 l -9 -6 m 9 6 l -9 6' : 'M 30 112 h -60 l 9 -6 m -9 6 l 9 6'"
        fill="none"
        stroke="var(--ink2)"
        stroke-width="2"
      />
    </template>
  </svg>
</template>

<style scoped>
svg {
  display: block;
  width: 100%;
  height: 100%;
}
</style>
