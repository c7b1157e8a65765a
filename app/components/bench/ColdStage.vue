<script setup lang="ts">
import { computed } from 'vue'
import { hoursAtRest, isCold, type JobView } from '~~/core/job'
import { fahrenheit } from '~~/core/units'
import { t } from '../../words'

/** The engine's temperature against the maker's limit on a thermometer's scale. */
const props = defineProps<{ view: JobView }>()
const limit = computed(() => props.view.pin.spec.engine.coldLimitC)
const reading = computed(() => props.view.state.temperature?.celsius ?? null)
const rested = computed(() => hoursAtRest(props.view))
const TOP = 100
const y = (c: number): number => 380 - (Math.max(0, Math.min(c, TOP)) / TOP) * 330
const cold = computed(() => isCold(props.view))
</script>

<template>
  <div class="cold">
    <svg viewBox="0 0 260 430" role="img" :aria-label="t('cold-stage.limit-c', { limit, headC: reading })">
      <rect x="92" y="30" width="34" height="366" rx="17" fill="var(--white)" stroke="var(--ink)" stroke-width="1.8" />
      <rect x="93" :y="y(limit)" width="32" :height="394 - y(limit)" fill="var(--petrol-tint)" rx="14" />
      <path
        v-for="i in 11"
        :key="i"
        :d="`M 92 ${y((i - 1) * 10)} h ${i % 2 ? 14 : 8}`"
        stroke="var(--ink)"
        stroke-width="1.3"
      />
      <text
        v-for="i in [0, 20, 40, 60, 80, 100]"
        :key="i"
        x="82"
        :y="y(i) + 5"
        text-anchor="end"
        font-size="15"
        font-weight="500"
      >
        {{ i }}
      </text>
      <path :d="`M 86 ${y(limit)} H 140`" stroke="var(--petrol)" stroke-width="2.4" />
      <text x="146" :y="y(limit) + 6" font-size="17" font-weight="700" style="fill: var(--petrol)">
        {{ t('cold-stage.c-limit', { limit }) }}
      </text>
      <template v-if="reading !== null">
        <rect x="102" :y="y(reading)" width="14" :height="388 - y(reading)" rx="7" fill="var(--ink)" />
        <path :d="`M 128 ${y(reading)} l 14 -7 v 14 Z`" fill="var(--ink)" />
        <text v-if="Math.abs(y(reading) - y(limit)) > 20" x="146" :y="y(reading) + 6" font-size="19" font-weight="700">
          {{ reading }} °C
        </text>
      </template>
    </svg>
    <div class="words">
      <h2>
        {{
          cold
            ? t('cold-stage.cold-enough')
            : reading !== null && reading > limit
              ? t('cold-stage.too-warm')
              : t('cold-stage.not-known-yet')
        }}
      </h2>
      <dl>
        <dt>{{ t('cold-stage.limit') }}</dt>
        <dd>{{ limit }} °C, {{ Math.round(fahrenheit(limit)) }} °F</dd>
        <dt>{{ t('common.head') }}</dt>
        <dd>
          {{ reading === null ? t('common.not-read') : `${reading} °C, ${Math.round(fahrenheit(reading))} °F` }}
        </dd>
        <dt>{{ t('cold-stage.parked') }}</dt>
        <dd>{{ rested === null ? t('common.not-known') : `${rested.toFixed(1)} h` }}</dd>
      </dl>
      <p>
        {{ t('cold-stage.without-a-thermometer-four-hours') }}
      </p>
    </div>
  </div>
</template>

<style scoped>
.cold {
  display: grid;
  grid-template-columns: 290px 1fr;
  gap: 20px;
  padding: 30px 30px 20px;
  height: 100%;
  align-items: start;
}
svg {
  height: 100%;
  max-height: 500px;
  width: 100%;
}
h2 {
  font-size: 28px;
  padding-bottom: 8px;
  border-bottom: 1.5px solid var(--ink);
}
dl {
  display: grid;
  grid-template-columns: 80px 1fr;
  gap: 8px 12px;
}
dt {
  color: var(--ink3);
}
dd {
  margin: 0;
  font: 600 20px/1.2 var(--figures);
}
p {
  color: var(--ink2);
  font-size: 16px;
}
@media (max-width: 700px) {
  .cold {
    grid-template-columns: 1fr;
    padding: 10px 16px;
    height: auto;
  }
  svg {
    display: none;
  }
}
</style>
