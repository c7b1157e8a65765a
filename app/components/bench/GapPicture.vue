<script setup lang="ts">
import { computed, useId } from 'vue'
import type { BladeGoesUnder } from '~~/core/engine'
import { engraving, type Stack } from '~~/core/feeler'
import { formatLength } from '~~/core/units'
import { t } from '../../words'

/**
 * The gap between screw and valve tip to scale: what is proved open, what is still possible, and the blade or stack to
 * try.
 */
const props = defineProps<{
  loMm: number
  hiMm: number | null
  minMm: number
  maxMm: number
  next: Stack | null
  unit: 'mm' | 'thou'
  topMm: number
  /** What the blade goes under: an adjusting screw, the rocker’s pad, or the lobe over a shim. */
  over?: BladeGoesUnder
}>()
const hatch = useId()
const TIP = 300
const scale = computed(() => 200 / props.topMm)
const y = (mm: number) => TIP - Math.min(mm, props.topMm * 1.1) * scale.value
const nothing = computed(() => props.loMm === 0 && props.hiMm === null)
const top = computed(() => y(props.hiMm ?? props.topMm))
const mm = (v: number) => formatLength(v, 'mm')
/** Each blade of the stack with its height, from the tip up; one too thin to read is drawn as thick as its figure. */
const blades = computed(() => {
  let foot = TIP
  return (props.next?.engravedMm ?? []).map((mm, i) => {
    const height = Math.max(20, (props.next!.bladesMm[i] ?? mm) * scale.value)
    foot -= height
    return { words: engraving(mm, props.unit), y: foot, height }
  })
})
const isScrew = computed(() => (props.over ?? 'screw') === 'screw')
/** What is above the gap, with the face that the blade slides under at the top of it. */
const body = computed(() => {
  const y0 = top.value
  if (props.over === 'lobe')
    return `M 52 ${y0 - 72} A 73 73 0 0 0 198 ${y0 - 72} Q 198 ${y0} 125 ${y0} Q 52 ${y0} 52 ${y0 - 72} Z`
  if (props.over === 'rocker')
    return `M 40 ${y0 - 66} V ${y0 - 30} Q 60 ${y0} 92 ${y0} H 158 Q 190 ${y0} 210 ${y0 - 30} V ${y0 - 66} Z`
  return `M 66 ${y0 - 62} V ${y0 - 10} Q 66 ${y0} 76 ${y0} H 174 Q 184 ${y0} 184 ${y0 - 10} V ${y0 - 62} Z`
})
const far = computed(() => Math.abs(y(props.loMm) - top.value) > 18)
</script>

<template>
  <svg
    viewBox="0 0 330 400"
    class="gap"
    role="img"
    :aria-label="
      nothing
        ? t('gap-picture.gap-not-measured')
        : t('gap-picture.gap-from-to-mm', { loMm: mm(loMm), hiMm: hiMm === null ? null : mm(hiMm) })
    "
  >
    <defs>
      <pattern :id="hatch" width="8" height="8" patternUnits="userSpaceOnUse" patternTransform="rotate(45)">
        <rect width="8" height="8" fill="var(--hatch-ground)" />
        <path d="M 0 0 V 8" stroke="var(--hatch)" stroke-width="2.6" />
      </pattern>
    </defs>
    <path :d="body" fill="var(--metal)" stroke="var(--ink)" stroke-width="1.8" />
    <text v-if="over && over !== 'screw'" x="125" :y="top - 40" text-anchor="middle" font-size="16" font-weight="600">
      {{ t('gap-picture.over', { over }) }}
    </text>
    <path
      v-for="i in isScrew ? 3 : 0"
      :key="i"
      :d="`M 66 ${top - 58 + i * 13} L 184 ${top - 52 + i * 13}`"
      stroke="var(--ink)"
      stroke-width="1"
    />
    <rect
      v-if="isScrew"
      x="42"
      :y="top - 98"
      width="166"
      height="37"
      fill="var(--metal-light)"
      stroke="var(--ink)"
      stroke-width="1.8"
    />
    <path v-if="isScrew" :d="`M 88 ${top - 98} v 37 M 162 ${top - 98} v 37`" stroke="var(--ink)" stroke-width="1.4" />
    <text v-if="isScrew" x="125" :y="top - 74" text-anchor="middle" font-size="16" font-weight="600">
      {{ t('gap-picture.screw-nut') }}
    </text>
    <rect x="66" :y="top" width="118" :height="Math.max(2, y(loMm) - top)" :fill="`url(#${hatch})`" class="possible" />
    <rect x="66" :y="TIP" width="118" height="48" fill="var(--metal-light)" stroke="var(--ink)" stroke-width="1.8" />
    <text x="125" :y="TIP + 30" text-anchor="middle" font-size="16" font-weight="600">
      {{ over === 'lobe' ? t('gap-picture.shim') : t('common.valve-tip') }}
    </text>
    <!-- the spec as a band beside the gap -->
    <template v-if="maxMm > minMm">
      <rect x="8" :y="y(maxMm)" width="24" :height="Math.max(3, y(minMm) - y(maxMm))" fill="var(--petrol-tint)" />
      <path :d="`M 4 ${y(maxMm)} H 36 M 4 ${y(minMm)} H 36`" stroke="var(--petrol)" stroke-width="2" />
    </template>
    <path v-else :d="`M 4 ${y(minMm)} H 36`" stroke="var(--petrol)" stroke-width="3" />
    <text x="20" :y="y(maxMm) - 8" text-anchor="middle" font-size="14" font-weight="600" style="fill: var(--petrol)">
      {{ t('common.spec') }}
    </text>
    <template v-if="!nothing">
      <path v-if="hiMm !== null" :d="`M 44 ${top} H 66`" stroke="var(--ink)" stroke-width="1.4" />
      <text v-if="hiMm !== null" x="60" :y="top - 5" text-anchor="end" font-size="16" font-weight="600">
        {{ mm(hiMm) }}
      </text>
      <path v-if="loMm > 0" :d="`M 44 ${y(loMm)} H 66`" stroke="var(--ink)" stroke-width="1.4" />
      <text v-if="loMm > 0 && far" x="60" :y="y(loMm) + 15" text-anchor="end" font-size="16" font-weight="600">
        {{ mm(loMm) }}
      </text>
    </template>
    <template v-if="next">
      <g v-for="(b, i) in blades" :key="i" class="next-blade">
        <rect
          x="200"
          :y="b.y"
          width="140"
          :height="b.height"
          rx="5"
          fill="var(--white)"
          stroke="var(--petrol)"
          stroke-width="2.4"
        />
        <text
          x="266"
          :y="b.y + b.height / 2 + 6"
          text-anchor="middle"
          font-size="18"
          font-weight="700"
          style="fill: var(--petrol)"
        >
          {{ b.words }}
        </text>
      </g>
      <text x="266" :y="TIP + 22" text-anchor="middle" font-size="16" font-weight="600" style="fill: var(--petrol)">
        {{
          next.engravedMm.length > 1
            ? t('gap-picture.mm-next', { totalMm: mm(next.totalMm) })
            : t('gap-picture.try-next')
        }}
      </text>
    </template>
    <text x="66" y="372" font-size="15" font-weight="500" style="fill: var(--ink2)">
      {{
        nothing
          ? t('gap-picture.nothing-tried-yet')
          : hiMm === null
            ? t('gap-picture.every-blade-went-in-so')
            : t('gap-picture.the-gap-ends-in-the')
      }}
    </text>
  </svg>
</template>

<style scoped>
.gap {
  display: block;
  width: 100%;
  height: 100%;
}
</style>
