<script setup lang="ts">
import { computed } from 'vue'
import type { Happening, JobView } from '~~/core/job'
import { specChange } from '~~/core/spec-book/spec-change'
import type { RevisionRow } from '~~/shared/spec-book'
import { t, tell } from '../../../words'
import { toldChange } from '../../spec/spec-lines'
import PanelFrame from './PanelFrame.vue'

/** A revision that came into force while the job was open: what it changes here, and whether it is taken. */
const props = defineProps<{ view: JobView; newer: RevisionRow }>()
const emit = defineEmits<{ record: [happening: Happening]; back: [] }>()
const change = computed(() => specChange(props.view.pin.spec.engine, props.newer.engine))
const lines = computed(() => change.value.lines.map(toldChange))
const take = () =>
  emit('record', {
    type: 'spec-taken',
    payload: { revisionId: props.newer.id, revision: props.newer.revision, engine: props.newer.engine },
  })
</script>

<template>
  <PanelFrame
    :title="t('newer-spec-panel.revision-is-in-force', { revision: newer.revision })"
    :label="t('newer-spec-panel.what-it-changes')"
    @back="emit('back')"
  >
    <p>
      {{
        t('newer-spec-panel.this-job-goes-by-revision', {
          revision: view.pin.spec.revision,
          author: newer.author,
          source: newer.source,
          reason: newer.reason,
        })
      }}
    </p>
    <table class="rows">
      <tbody>
        <tr v-for="l in lines" :key="l.id">
          <th>{{ l.name }}</th>
          <td>{{ l.before.value || t('spec-says.none') }}</td>
          <td aria-hidden="true">→</td>
          <td>
            <b>{{ l.after.value || t('spec-says.none') }}</b><small v-if="l.note">{{ l.note }}</small>
          </td>
        </tr>
      </tbody>
    </table>
    <p v-if="lines.length === 0">{{ t('newer-spec-panel.the-figures-are-the-same') }}</p>
    <p v-if="change.refused" class="wrong" role="alert">{{ tell(change.refused) }}</p>
    <template v-else
      ><p>{{ t('newer-spec-panel.your-readings-stay-and-are') }}</p>
      <button type="button" class="key pick" @click="take">
        <b>{{ t('newer-spec-panel.take-revision', { revision: newer.revision }) }}</b><span>{{
          t('newer-spec-panel.the-sheet-says-so')
        }}</span>
      </button></template
    >
    <button type="button" class="key pick" @click="emit('back')">
      <b>{{ t('newer-spec-panel.keep-revision', { revision: view.pin.spec.revision }) }}</b><span>{{
        t('newer-spec-panel.finish-this-job-on-the')
      }}</span>
    </button>
  </PanelFrame>
</template>

<style scoped>
small {
  display: block;
  color: var(--ink2);
}
th {
  text-align: left;
}
th,
td {
  vertical-align: baseline;
}
</style>
