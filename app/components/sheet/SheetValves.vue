<script setup lang="ts">
import { computed } from 'vue'
import type { Sheet } from '~~/core/job'
import PrintVerdict from './PrintVerdict.vue'
import SheetRule from './SheetRule.vue'
import { named, t } from '../../words'

/** The head from above, and beside it each valve as found and as left on one scale. */
const props = defineProps<{ sheet: Sheet }>()
const s = computed(() => props.sheet)
const all = computed(() =>
  s.value.valves
    .flatMap(v => [v.spec.minMm, v.spec.maxMm, v.asFound?.loMm, v.asFound?.hiMm, v.asLeft?.loMm, v.asLeft?.hiMm])
    .filter(v => v !== undefined && v !== null),
)
const topMm = computed(() => Math.ceil((Math.max(...all.value) + 0.02) * 50) / 50)
const fromMm = computed(() => Math.max(0, Math.floor((Math.min(...all.value) - 0.02) * 50) / 50))
/** A valve's mark on the map: “I”, “E 2”, with its cylinder's first letter where there are several: “L I”. */
const cylinderPart = (name: string): string => name.replace(/\s*\b(intake|exhaust)\b.*$/i, '')
const several = computed(() => new Set(s.value.valves.map(v => cylinderPart(v.name))).size > 1)
const shortLabel = (name: string, role: string): string =>
  [several.value ? cylinderPart(name).charAt(0) : '', role === 'intake' ? 'I' : 'E', /\d$/.exec(name)?.[0] ?? '']
    .filter(Boolean)
    .join(' ')
const thouFirst = computed(() => s.value.unit === 'thou')
</script>

<template>
  <h2>{{ t('sheet-valves.valves-seen-from-above') }}</h2>
  <section class="map" :class="{ many: s.valves.length > 2 }">
    <div v-for="valve in s.valves" :key="valve.valveId" class="valve" :class="valve.role">
      <p class="name">
        <b>{{ named(valve.name) }}</b><span>{{
          t('sheet-valves.spec', { thouFirst: thouFirst ? valve.spec.thou + ' thou' : valve.spec.words + ' mm' })
        }}</span>
      </p>
      <p class="line">
        <span>{{ t('common.as-found') }}</span><b>{{ valve.asFound?.words ?? t('common.not-measured') }}</b
        ><PrintVerdict v-if="valve.asFound" :verdict="valve.asFound.verdict" :proof="valve.asFound.proof" />
      </p>
      <p class="line">
        <span>{{ t('sheet-valves.as-left') }}</span><b>{{ valve.asLeft?.words ?? t('common.not-proved') }}</b
        ><PrintVerdict v-if="valve.asLeft" :verdict="valve.asLeft.verdict" :proof="valve.asLeft.proof" />
      </p>
      <SheetRule :valve="valve" :from-mm="fromMm" :top-mm="topMm" />
    </div>
    <figure>
      <svg viewBox="0 0 220 190" role="img" :aria-label="t('sheet-valves.head-from-above-exhaust-at')">
        <text x="110" y="12" text-anchor="middle" font-size="12" font-weight="600">
          {{ t('common.muffler-side') }}
        </text>
        <text x="110" y="187" text-anchor="middle" font-size="12" font-weight="600">
          {{ t('common.carburetor-side') }}
        </text>
        <rect x="45" y="20" width="130" height="152" rx="9" fill="#fff" stroke="#111" stroke-width="1.5" />
        <template v-if="!several">
          <circle cx="110" cy="96" r="62" fill="none" stroke="#111" stroke-dasharray="4 3" />
          <circle cx="158" cy="96" r="7" fill="#fff" stroke="#111" />
          <path d="M 154.500 96 h 7 M 158 92.500 v 7" stroke="#111" />
        </template>
        <g
          v-for="valve in s.valves"
          :key="valve.valveId"
          :transform="`translate(${45 + valve.headX * 130} ${20 + valve.headY * 152})`"
        >
          <circle :r="valve.role === 'intake' ? 23 : 19" fill="#fff" stroke="#111" stroke-width="1.6" />
          <text y="5" text-anchor="middle" font-size="13" font-weight="600">
            {{ shortLabel(valve.name, valve.role) }}
          </text>
        </g>
      </svg>
      <figcaption>
        <i class="open" /> {{ t('common.as-found-within') }} <i class="solid" /> {{ t('sheet-valves.as-left-proved') }}
        <i class="tint" /> {{ t('sheet-valves.spec-mm-above-thou-below') }}
      </figcaption>
    </figure>
  </section>
</template>
