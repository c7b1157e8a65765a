<script setup lang="ts">
import { computed } from 'vue'
import { NuxtLink } from '#components'
import { pointsTo } from '~~/core/complaint'
import { intervalWords, limitsOf, targetOf } from '~~/core/feeler'
import { complaintWords, type JobView } from '~~/core/job'
import { fahrenheit, formatLength, formatMeter, formatTorque, thouFromMm } from '~~/core/units'
import { named, t, tell } from '../../words'

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
      name: named(valve.name),
      printed: `${clearance.text} ${clearance.unit}`,
      mm: span(v => formatLength(v, 'mm')),
      thou: span(v => thouFromMm(v).toFixed(1)),
      left: left ? tell(intervalWords(left)) : t('common.not-on-record'),
    }
  }),
)
const assumed = computed(() =>
  [
    engine.value.cam === null && t('start-stage.cam-timing'),
    engine.value.rodMm === null && t('start-stage.rod-length'),
    engine.value.adjuster.pitchAssumed && t('start-stage.screw-pitch'),
    engine.value.decompressor.kind === 'unknown' && t('start-stage.whether-there-is-a-decompressor'),
  ]
    .filter(Boolean)
    .join(', '),
)
/** What the complaints make likelier, in the open: the first blade goes by it. */
const hints = computed(() =>
  pin.value.complaints
    .filter(c => c !== 'due')
    .map(complaint => {
      const to = pointsTo(complaint)
      return to.length ? t('complaint.hint', { complaint, to }) : t('complaint.hint.none', { complaint })
    }),
)
const torque = (nm: number | null) => (nm === null ? t('common.not-on-record') : formatTorque(nm))
</script>

<template>
  <div class="start">
    <section>
      <h2>{{ pin.machine.name }}</h2>
      <dl>
        <dt>{{ t('common.model') }}</dt>
        <dd>
          {{ pin.modelName
          }}<NuxtLink v-if="pin.modelId" class="page" :to="`/spec-book/${pin.modelId}?machine=${pin.machine.id}`">{{
            t('start-stage.its-page-in-the-book')
          }}</NuxtLink>
        </dd>
        <dt>{{ t('common.tag') }}</dt>
        <dd>{{ pin.machine.tag }}</dd>
        <dt>{{ t('common.owner') }}</dt>
        <dd>{{ pin.machine.owner }}</dd>
        <dt>{{ t('common.meter') }}</dt>
        <dd>
          {{
            pin.machine.meter === null ? t('common.not-read') : formatMeter(pin.machine.meter, pin.machine.meterUnit)
          }}
        </dd>
        <dt>{{ t('common.complaint') }}</dt>
        <dd>{{ tell(complaintWords(pin)) || t('common.none-given') }}</dd>
      </dl>
      <p v-for="hint in hints" :key="hint" class="source">{{ hint }}</p>
    </section>
    <section>
      <h2>
        {{ t('start-stage.spec-revision', { revision: pin.spec.revision }) }}
        <span v-if="pin.spec.status === 'draft'" class="draft">{{ t('common.is-draft') }}</span>
      </h2>
      <p v-for="old in engine.superseded" :key="old.text + old.source" class="old" role="note">
        {{ t('start-stage.do-not-use', old) }}
      </p>
      <table class="rows">
        <thead>
          <tr>
            <th>{{ t('common.valve') }}</th>
            <th>{{ t('start-stage.printed') }}</th>
            <th>mm</th>
            <th>thou</th>
            <th>{{ t('start-stage.left-last-time') }}</th>
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
        {{
          t('start-stage.set-under-c-f', {
            source: engine.source,
            sourceDate: engine.sourceDate,
            setWhen: engine.setWhen,
            limitC: engine.coldLimitC,
            limitF: Math.round(fahrenheit(engine.coldLimitC)),
          })
        }}<template v-if="pin.lastAsLeft"> {{ t('start-stage.last-visit', { date: pin.lastAsLeft.date }) }}</template>
      </p>
      <p class="source">
        {{
          t('start-stage.locknut-cover-plug-gasket', {
            locknutNm: torque(engine.torques.locknutNm),
            coverNm: torque(engine.torques.coverNm),
            plugNm: torque(engine.torques.plugNm),
            gasket: engine.gasket || t('common.not-on-record'),
          })
        }}
      </p>
      <p v-if="assumed" class="source assumed">{{ t('start-stage.assumed-not-from-the-source', { assumed }) }}</p>
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
.old {
  margin-top: 10px;
  padding: 8px 12px;
  border-left: 5px solid var(--loose);
  background: var(--sheet);
  font: 600 16.5px/1.3 var(--figures);
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
