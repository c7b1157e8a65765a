<script setup lang="ts">
import { computed } from 'vue'
import type { Sheet } from '~~/core/job'
import PrintVerdict from './PrintVerdict.vue'

/** What it was set by, and what proved it. */
const props = defineProps<{ sheet: Sheet }>()
const s = computed(() => props.sheet)
/** Beside the verdicts: blade error near a limit, a bent blade, guesses by eye or ear. */
const beside = computed(() =>
  s.value.valves.flatMap(v =>
    [...(v.cautions ?? []), ...(v.estimates ?? []).map(e => `estimated ${e}, which proves nothing`)].map(
      words => `${v.name}: ${words}`,
    ),
  ),
)
</script>

<template>
  <section class="two">
    <div>
      <h2>Spec used: revision {{ s.spec.revision }}{{ s.spec.status === 'draft' ? ', a draft' : '' }}</h2>
      <p>
        {{ s.spec.source }}, {{ s.spec.sourceDate }}. Blades: {{ s.spec.bladeSet }}.<template
          v-if="s.strangeBlades?.length"
        >
          Of no set: {{ s.strangeBlades.join(', ') }} mm.</template
        >
      </p>
      <table>
        <thead>
          <tr>
            <th>Valve</th>
            <th>mm</th>
            <th>thou</th>
            <th>target</th>
          </tr>
        </thead>
        <tbody>
          <tr v-for="v in s.valves" :key="v.valveId">
            <td>{{ v.name }}</td>
            <td>
              <b>{{ v.spec.words }}</b>
            </td>
            <td>{{ v.spec.thou }}</td>
            <td>{{ v.spec.targetMm.toFixed(2) }} mm</td>
          </tr>
        </tbody>
      </table>
      <p v-for="f in s.figures ?? []" :key="f"><b>Two figures are printed.</b> {{ f }}</p>
      <p v-if="s.setting?.length">{{ s.setting.join(' ') }}</p>
    </div>
    <div>
      <h2>Proofs, after two full turns</h2>
      <table>
        <thead>
          <tr>
            <th>Valve</th>
            <th>Stop</th>
            <th>Went</th>
            <th>Did not go</th>
            <th>Verdict</th>
          </tr>
        </thead>
        <tbody>
          <tr v-for="v in s.valves" :key="v.valveId">
            <td>{{ v.name }}</td>
            <template v-if="v.proof && v.asLeft"
              ><td>{{ v.proof.place }}</td>
              <td>{{ v.proof.went }}</td>
              <td>{{ v.proof.refused }}</td>
              <td><PrintVerdict :verdict="v.asLeft.verdict" :proof="v.asLeft.proof" /></td
            ></template>
            <td v-else colspan="4">not proved</td>
          </tr>
        </tbody>
      </table>
      <p v-for="b in beside" :key="b" class="by">{{ b }}</p>
    </div>
  </section>
</template>
