<script setup lang="ts">
import { computed } from 'vue'
import type { Sheet } from '~~/core/job'
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
      <h2>Rounds of setting</h2>
      <table v-if="rounds.length">
        <thead>
          <tr>
            <th>Valve</th>
            <th>Screw</th>
            <th>Before lock</th>
            <th>Nipped</th>
            <th>Torqued</th>
            <th>Verdict</th>
          </tr>
        </thead>
        <tbody>
          <template v-for="v in rounds" :key="v.valveId"
            ><tr v-for="(r, i) in v.rounds" :key="i">
              <td>{{ i === 0 || r.round !== v.rounds[i - 1]?.round ? `${v.name} ${r.round}` : '' }}</td>
              <td class="whole">
                {{
                  r.turnedDeg === null
                    ? 'as it was'
                    : `${Math.abs(r.turnedDeg)}° ${r.turnedDeg >= 0 ? 'clockwise' : 'back'}`
                }}
              </td>
              <td>{{ r.beforeLock }}</td>
              <td>{{ r.nipped }}</td>
              <td>{{ r.torqued }}</td>
              <td><PrintVerdict v-if="r.torqued" :verdict="r.verdict" /></td></tr
          ></template>
        </tbody>
      </table>
      <p v-else-if="shims.length === 0">No valve was set: all were in as found, or left as they were.</p>
      <table v-if="shims.length">
        <thead>
          <tr>
            <th>Shim of</th>
            <th>Old</th>
            <th>In its place</th>
          </tr>
        </thead>
        <tbody>
          <tr v-for="v in shims" :key="v.valveId">
            <td>{{ v.name }}</td>
            <td>{{ v.shim?.old }}</td>
            <td>{{ v.shim?.fitted }}</td>
          </tr>
        </tbody>
      </table>
    </div>
    <div>
      <h2>Departures</h2>
      <p v-for="(d, i) in s.departures" :key="i">
        <b>{{ d.missing }}</b> {{ d.reason }}. {{ d.by }}, {{ hour(d.at) }}.
      </p>
      <p v-if="s.departures.length === 0">None.</p>
      <template v-if="s.corrections?.length">
        <h2>Corrections</h2>
        <p v-for="(c, i) in s.corrections" :key="i">{{ c }}</p>
      </template>
      <h2>Run</h2>
      <p>{{ s.run }}.</p>
    </div>
  </section>
</template>
