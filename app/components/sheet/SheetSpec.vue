<script setup lang="ts">
import { computed } from 'vue'
import type { Sheet } from '~~/core/job'
import { cautionLines, specLinesOf } from '~~/core/job/sheet/together'
import { named, t } from '../../words'
import PrintVerdict from './PrintVerdict.vue'

/** What it was set by, and what proved it. */
const props = defineProps<{ sheet: Sheet }>()
const s = computed(() => props.sheet)
/** Beside the verdicts: blade error near a limit, a bent blade, guesses by eye or ear. */
const beside = computed(() => [
  ...cautionLines(s.value.valves).map(({ names, one }) => `${names.map(named).join(', ')}: ${one.words}`),
  ...s.value.valves.flatMap(v =>
    (v.estimates ?? []).map(
      estimate => `${named(v.name)}: ${t('sheet-spec.estimated-which-proves-nothing', { estimate })}`,
    ),
  ),
])
</script>

<template>
  <section class="two">
    <div>
      <h2>
        {{
          t('sheet-spec.spec-used-revision', {
            revision: s.spec.revision,
            draft: s.spec.status === 'draft',
          })
        }}
      </h2>
      <p>
        {{ t('sheet-spec.blades', { source: s.spec.source, sourceDate: s.spec.sourceDate, bladeSet: s.spec.bladeSet })
        }}<template v-if="s.strangeBlades?.length">
          {{ t('sheet-spec.of-no-set-mm', { strangeBlades: s.strangeBlades.join(', ') }) }}</template
        >
      </p>
      <table>
        <thead>
          <tr>
            <th>{{ t('common.valve') }}</th>
            <th>mm</th>
            <th>thou</th>
            <th>{{ t('sheet-spec.target') }}</th>
          </tr>
        </thead>
        <tbody>
          <tr v-for="{ names, one: v } in specLinesOf(s.valves)" :key="v.valveId">
            <td>{{ names.map(named).join(', ') }}</td>
            <td>
              <b>{{ v.spec.words }}</b>
            </td>
            <td>{{ v.spec.thou }}</td>
            <td>{{ v.spec.targetMm.toFixed(2) }} mm</td>
          </tr>
        </tbody>
      </table>
      <p v-for="f in s.figures ?? []" :key="f">
        <b>{{ t('sheet-spec.two-figures-are-printed') }}</b> {{ f }}
      </p>
      <p v-if="s.setting?.length">{{ s.setting.join(' ') }}</p>
    </div>
    <div>
      <h2>{{ t('sheet-spec.proofs-after-two-full-turns') }}</h2>
      <table class="many-columns">
        <thead>
          <tr>
            <th>{{ t('common.valve') }}</th>
            <th>{{ t('sheet-spec.stop') }}</th>
            <th>{{ t('sheet-spec.went') }}</th>
            <th>{{ t('sheet-spec.did-not-go') }}</th>
            <th>{{ t('common.verdict') }}</th>
          </tr>
        </thead>
        <tbody>
          <tr v-for="v in s.valves" :key="v.valveId">
            <td>{{ named(v.name) }}</td>
            <template v-if="v.proof && v.asLeft"
              ><td>{{ v.proof.place }}</td>
              <td>{{ v.proof.went }}</td>
              <td>{{ v.proof.refused }}</td>
              <td><PrintVerdict :verdict="v.asLeft.verdict" :proof="v.asLeft.proof" /></td
            ></template>
            <td v-else colspan="4">{{ t('common.not-proved') }}</td>
          </tr>
        </tbody>
      </table>
      <p v-for="b in beside" :key="b" class="by">{{ b }}</p>
    </div>
  </section>
</template>
