<script setup lang="ts">
import { computed } from 'vue'
import type { Sheet } from '~~/core/job'
import type { SheetTask } from '~~/shared/responses'

/** What came off, went in and was tightened; other tasks, findings and notes. */
const props = defineProps<{ sheet: Sheet; tasks: SheetTask[] | undefined }>()
const s = computed(() => props.sheet)
</script>

<template>
  <section class="three">
    <div>
      <h2>Came off, went back</h2>
      <table>
        <tbody>
          <tr v-for="i in s.cameOff" :key="i.item">
            <td>{{ i.item }}</td>
            <td>{{ i.back ? '☑ back' : '☐ not ticked' }}</td>
          </tr>
          <tr v-if="s.cameOff.length === 0">
            <td>nothing on record</td>
          </tr>
        </tbody>
      </table>
    </div>
    <div>
      <h2>Went in, came out</h2>
      <table>
        <tbody>
          <tr v-for="i in s.wentIn" :key="i.item">
            <td>{{ i.item }}</td>
            <td>{{ i.out ? '☑ out' : '☐ not ticked' }}</td>
          </tr>
          <tr v-if="s.wentIn.length === 0">
            <td>nothing on record</td>
          </tr>
        </tbody>
      </table>
      <h2>Plug, gasket</h2>
      <p>{{ s.plug }}. {{ s.gasket }}.</p>
      <template v-if="s.replaced.length"
        ><h2>Replaced</h2>
        <p>{{ s.replaced.join('; ') }}.</p></template
      >
    </div>
    <div>
      <h2>Torques</h2>
      <table>
        <tbody>
          <tr v-for="t in s.torques" :key="t.what">
            <td>{{ t.what }}</td>
            <td>{{ t.wanted }}</td>
            <td>{{ t.done ? '☑' : '☐ not ticked' }}</td>
          </tr>
        </tbody>
      </table>
      <p v-for="t in s.torques.filter(t => t.by)" :key="`by ${t.what}`" class="by">{{ t.what }}: {{ t.by }}.</p>
    </div>
  </section>
  <section v-if="tasks?.length">
    <div>
      <h2>Other tasks of this visit</h2>
      <p>{{ tasks.map(t => `${t.name}: ${t.words}`).join('; ') }}.</p>
    </div>
  </section>
  <section v-if="s.findings.length || s.notes.length" class="two">
    <div>
      <h2>Findings</h2>
      <p v-for="(f, i) in s.findings" :key="i">{{ f.text }}. {{ f.by }}.</p>
      <p v-if="s.findings.length === 0">None.</p>
    </div>
    <div>
      <h2>Notes</h2>
      <p v-for="(n, i) in s.notes" :key="i">{{ n.text }}</p>
      <p v-if="s.notes.length === 0">None.</p>
    </div>
  </section>
</template>
