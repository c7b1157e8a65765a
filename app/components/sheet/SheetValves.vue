<script setup lang="ts">
import { computed } from 'vue'
import type { Sheet } from '~~/core/job'
import { named, t } from '../../words'
import PrintVerdict from './PrintVerdict.vue'
import SheetMap from './SheetMap.vue'
import SheetRule from './SheetRule.vue'

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
/** Its sign on the map before its name, where there are many. */
const signOf = (id: string): string => {
  const sign = s.value.valves.length > 2 ? s.value.map?.valves.find(v => v.valveId === id)?.sign : undefined
  return sign ? `${sign} ` : ''
}
const thouFirst = computed(() => s.value.unit === 'thou')
</script>

<template>
  <h2>{{ (s.map?.heads.length ?? 1) > 1 ? t('common.valves') : t('sheet-valves.valves-seen-from-above') }}</h2>
  <section class="map" :class="{ many: s.valves.length > 2, crowd: s.valves.length > 4 }">
    <div v-for="valve in s.valves" :key="valve.valveId" class="valve" :class="valve.role">
      <p class="name">
        <b>{{ signOf(valve.valveId) }}{{ named(valve.name) }}</b
        ><span>{{
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
      <SheetMap :sheet="s" />
      <figcaption>
        <i class="open" /> {{ t('common.as-found-within') }} <i class="solid" /> {{ t('sheet-valves.as-left-proved') }}
        <i class="tint" /> {{ t('sheet-valves.spec-mm-above-thou-below') }}
      </figcaption>
    </figure>
  </section>
</template>
