<script setup lang="ts">
import { NuxtLink } from '#components'
import { computed } from 'vue'
import { intervalWords, limitsOf, targetOf } from '~~/core/feeler'
import type { JobView } from '~~/core/job'
import { fahrenheit, formatLength, formatMeter, formatTorque, thouFromMm } from '~~/core/units'

/** Machine and spec on one sheet: figures in both units with their source, what is assumed, and how it was left. */
const props = defineProps<{ view: JobView }>()
const pin = computed(() => props.view.pin)
const engine = computed(() => pin.value.spec.engine)
const rows = computed(() =>
  engine.value.valves.map(valve => {
    const clearance = engine.value.clearance[valve.role]
    const limits = limitsOf(clearance)
    const span = (f: (mm: number) => string) =>
      limits ? `${f(limits.minMm)}–${f(limits.maxMm)}` : f(targetOf(clearance))
    const left = pin.value.lastAsLeft?.readings[valve.id]
    return {
      name: valve.name,
      printed: `${clearance.text} ${clearance.unit}`,
      mm: span(v => formatLength(v, 'mm')),
      thou: span(v => thouFromMm(v).toFixed(1)),
      left: left ? intervalWords(left) : 'not on record',
    }
  }),
)
const assumed = computed(() =>
  [
    engine.value.cam === null && 'cam timing',
    engine.value.rodMm === null && 'rod length',
    engine.value.adjuster.pitchAssumed && 'screw pitch',
    engine.value.decompressor.kind === 'unknown' && 'whether there is a decompressor',
  ]
    .filter(Boolean)
    .join(', '),
)
const torque = (nm: number | null) => (nm === null ? 'not on record' : formatTorque(nm))
</script>

<template>
  <div class="start">
    <section>
      <h2>{{ pin.machine.name }}</h2>
      <dl>
        <dt>Model</dt>
        <dd>
          {{ pin.modelName
          }}<NuxtLink v-if="pin.modelId" class="page" :to="`/spec-book/${pin.modelId}?machine=${pin.machine.id}`"
            >its page in the book</NuxtLink
          >
        </dd>
        <dt>Tag</dt>
        <dd>{{ pin.machine.tag }}</dd>
        <dt>Owner</dt>
        <dd>{{ pin.machine.owner }}</dd>
        <dt>Meter</dt>
        <dd>{{ pin.machine.meter === null ? 'not read' : formatMeter(pin.machine.meter, pin.machine.meterUnit) }}</dd>
        <dt>Complaint</dt>
        <dd>{{ pin.complaint || 'none given' }}</dd>
      </dl>
    </section>
    <section>
      <h2>
        Spec, revision {{ pin.spec.revision }}<span v-if="pin.spec.status === 'draft'" class="draft"> draft</span>
      </h2>
      <table class="rows">
        <thead>
          <tr>
            <th>Valve</th>
            <th>Printed</th>
            <th>mm</th>
            <th>thou</th>
            <th>Left last time</th>
          </tr>
        </thead>
        <tbody>
          <tr v-for="row in rows" :key="row.name">
            <td class="figures">{{ row.name }}</td>
            <td>{{ row.printed }}</td>
            <td class="figures big">{{ row.mm }}</td>
            <td class="figures">{{ row.thou }}</td>
            <td>{{ row.left }}</td>
          </tr>
        </tbody>
      </table>
      <p class="source">
        {{ engine.source }}, {{ engine.sourceDate }}. Set {{ engine.setWhen }}, under {{ engine.coldLimitC }} °C ({{
          Math.round(fahrenheit(engine.coldLimitC))
        }}
        °F).<template v-if="pin.lastAsLeft"> Last visit {{ pin.lastAsLeft.date }}.</template>
      </p>
      <p class="source">
        Locknut {{ torque(engine.torques.locknutNm) }}. Cover {{ torque(engine.torques.coverNm) }}. Plug
        {{ torque(engine.torques.plugNm) }}. Gasket: {{ engine.gasket || 'not on record' }}.
      </p>
      <p v-if="assumed" class="source assumed">Assumed, not from the source: {{ assumed }}.</p>
    </section>
  </div>
</template>

<style scoped>
.start {
  padding: 24px;
  display: grid;
  gap: 26px;
  align-content: start;
  overflow: auto;
  height: 100%;
}
h2 {
  font-size: 22px;
  padding-bottom: 8px;
  border-bottom: 1.5px solid var(--ink);
  overflow-wrap: anywhere;
}
.draft {
  color: var(--tight);
}
.page {
  display: block;
  font-size: 16px;
}
dl {
  display: grid;
  grid-template-columns: 96px 1fr;
  gap: 6px 12px;
  margin: 12px 0 0;
}
dt {
  color: var(--ink3);
  font-size: 16px;
}
dd {
  margin: 0;
  font: 600 18px/1.25 var(--figures);
  overflow-wrap: anywhere;
}
.big {
  font-size: 21px;
}
.source {
  font-size: 15.5px;
  color: var(--ink2);
  padding-top: 12px;
}
.assumed {
  text-decoration: underline dotted;
  text-underline-offset: 4px;
}
@media (max-width: 700px) {
  .start {
    padding: 14px 16px;
    height: auto;
    gap: 16px;
  }
  .rows {
    font-size: 15px;
  }
  .rows th:nth-child(2),
  .rows td:nth-child(2) {
    display: none;
  }
}
</style>
