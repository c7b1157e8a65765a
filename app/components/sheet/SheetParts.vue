<script setup lang="ts">
import { computed } from 'vue'
import type { Sheet } from '~~/core/job'
import { partLines, torqueLines } from '~~/core/job/sheet/together'
import type { SheetTask } from '~~/shared/jobs'
import { t } from '../../words'
import SheetLift from './SheetLift.vue'

/** What came off, went in and was tightened; other tasks, findings and notes. */
const props = defineProps<{ sheet: Sheet; tasks: SheetTask[] | undefined }>()
const s = computed(() => props.sheet)
const parts = computed(() => partLines(props.sheet))
</script>

<template>
  <section class="three">
    <div>
      <h2>{{ t('sheet-parts.removed-refitted') }}</h2>
      <table>
        <tbody>
          <tr v-for="i in parts.each" :key="i.item">
            <td>{{ i.item }}</td>
            <td>{{ i.back ? t('sheet-parts.back') : t('sheet-parts.not-ticked') }}</td>
          </tr>
          <tr v-if="parts.back.length">
            <td colspan="2">
              ☑ {{ t('sheet-parts.all-back', { count: parts.back.length, items: parts.back.join(', ') }) }}
            </td>
          </tr>
          <tr v-if="s.cameOff.length === 0">
            <td>{{ t('sheet-parts.nothing-on-record') }}</td>
          </tr>
        </tbody>
      </table>
    </div>
    <div>
      <h2>{{ t('sheet-parts.rags-in-rags-out') }}</h2>
      <table>
        <tbody>
          <tr v-for="i in s.wentIn" :key="i.item">
            <td>{{ i.item }}</td>
            <td>{{ i.out ? t('sheet-parts.out') : t('sheet-parts.not-ticked') }}</td>
          </tr>
          <tr v-if="s.wentIn.length === 0">
            <td>{{ t('sheet-parts.nothing-on-record') }}</td>
          </tr>
        </tbody>
      </table>
      <h2>{{ t('sheet-parts.plug-gasket') }}</h2>
      <p>{{ [s.plug, s.gasket].filter(Boolean).join('. ') }}.</p>
      <template v-if="s.replaced.length"
        ><h2>{{ t('sheet-parts.replaced') }}</h2>
        <p>{{ s.replaced.join('; ') }}.</p></template
      >
    </div>
    <div>
      <h2>{{ t('common.torques') }}</h2>
      <table>
        <tbody>
          <tr v-for="{ names, one: torque } in torqueLines(s)" :key="torque.what">
            <td>{{ names.join(', ') }}</td>
            <td>{{ torque.wanted }}</td>
            <td>{{ torque.done ? '☑' : t('sheet-parts.not-ticked') }}</td>
          </tr>
        </tbody>
      </table>
      <p v-for="torque in s.torques.filter(torque => torque.by)" :key="`by ${torque.what}`" class="by">
        {{ torque.what }}: {{ torque.by }}.
      </p>
    </div>
  </section>
  <section v-if="s.owner?.length || s.pressures?.length || s.lift" class="two" :class="{ wide: s.lift }">
    <div v-if="s.owner?.length">
      <h2>{{ t('sheet-parts.for-the-owner') }}</h2>
      <p v-for="line in s.owner" :key="line">{{ line }}</p>
    </div>
    <div v-if="s.pressures?.length">
      <h2>{{ t('sheet-parts.gauges') }}</h2>
      <p v-for="(line, i) in s.pressures" :key="i">{{ line }}.</p>
    </div>
    <SheetLift v-if="s.lift" :lift="s.lift" />
  </section>
  <section v-if="tasks?.length">
    <div>
      <h2>{{ t('sheet-parts.other-tasks-of-this-visit') }}</h2>
      <p>{{ tasks.map(t => `${t.name}: ${t.words}`).join('; ') }}.</p>
    </div>
  </section>
  <section v-if="s.findings.length || s.notes.length" class="two">
    <div>
      <h2>{{ t('sheet-parts.findings') }}</h2>
      <p v-for="(f, i) in s.findings" :key="i">{{ f.text }}. {{ f.by }}.</p>
      <p v-if="s.findings.length === 0">{{ t('sheet-parts.none') }}</p>
    </div>
    <div>
      <h2>{{ t('sheet-parts.notes') }}</h2>
      <p v-for="(n, i) in s.notes" :key="i">{{ n.text }}</p>
      <p v-if="s.notes.length === 0">{{ t('sheet-parts.none') }}</p>
    </div>
  </section>
</template>
