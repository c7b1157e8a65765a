<script setup lang="ts">
import { computed } from 'vue'
import type { Sheet } from '~~/core/job'
import { named, t } from '../../words'
import { sheetClock } from './clock'
import PrintVerdict from './PrintVerdict.vue'

/** Each turn of each screw, what was gone on without and why, what was corrected, and how it ran. */
const props = defineProps<{ sheet: Sheet; timeZone: string }>()
const s = computed(() => props.sheet)
const { hour } = sheetClock(props.timeZone)
const shims = computed(() => s.value.valves.filter(v => v.shim))
const rounds = computed(() => s.value.valves.filter(v => v.rounds.length > 0))
</script>

<template>
  <section class="two">
    <div>
      <h2>{{ t('sheet-rounds.rounds-of-setting') }}</h2>
      <table v-if="rounds.length" class="many-columns">
        <thead>
          <tr>
            <th>{{ t('common.valve') }}</th>
            <th>{{ t('common.screw') }}</th>
            <th>{{ t('sheet-rounds.before-lock') }}</th>
            <th>{{ t('common.nipped') }}</th>
            <th>{{ t('common.torqued') }}</th>
            <th>{{ t('common.verdict') }}</th>
          </tr>
        </thead>
        <tbody>
          <template v-for="v in rounds" :key="v.valveId"
            ><tr v-for="(r, i) in v.rounds" :key="i">
              <td>{{ i === 0 || r.round !== v.rounds[i - 1]?.round ? `${named(v.name)} ${r.round}` : '' }}</td>
              <td class="whole">
                {{
                  r.turnedDeg === null ? t('sheet-rounds.as-it-was') : t('sheet-rounds.turned', { deg: r.turnedDeg })
                }}
              </td>
              <td>{{ r.beforeLock }}</td>
              <td>{{ r.nipped }}</td>
              <td>{{ r.torqued }}</td>
              <td><PrintVerdict v-if="r.torqued" :verdict="r.verdict" /></td></tr
          ></template>
        </tbody>
      </table>
      <p v-else-if="shims.length === 0">{{ t('sheet-rounds.no-valve-was-set-all') }}</p>
      <table v-if="shims.length">
        <thead>
          <tr>
            <th>{{ t('sheet-rounds.shim-of') }}</th>
            <th>{{ t('sheet-rounds.old') }}</th>
            <th>{{ t('sheet-rounds.in-its-place') }}</th>
          </tr>
        </thead>
        <tbody>
          <tr v-for="v in shims" :key="v.valveId">
            <td>{{ named(v.name) }}</td>
            <td>{{ v.shim?.old }}</td>
            <td>{{ v.shim?.fitted }}</td>
          </tr>
        </tbody>
      </table>
    </div>
    <div>
      <h2>{{ t('sheet-rounds.departures') }}</h2>
      <p v-for="(d, i) in s.departures" :key="i">
        <b>{{ d.missing }}</b> {{ d.reason }}. {{ d.by }}, {{ hour(d.at) }}.
      </p>
      <p v-if="s.departures.length === 0">{{ t('common.none') }}</p>
      <template v-if="s.corrections?.length">
        <h2>{{ t('sheet-rounds.corrections') }}</h2>
        <p v-for="(c, i) in s.corrections" :key="i">{{ c }}</p>
      </template>
      <h2>{{ t('sheet-rounds.run') }}</h2>
      <p>{{ s.run }}.</p>
    </div>
  </section>
</template>
