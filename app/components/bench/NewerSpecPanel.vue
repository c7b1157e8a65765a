<script setup lang="ts">
import { computed } from 'vue'
import { type Happening, type JobView, specChange } from '~~/core/job'
import type { RevisionRow } from '~~/shared/spec-book'
import PanelFrame from './PanelFrame.vue'

/** A revision that came into force while the job was open: what it changes here, and whether it is taken. */
const props = defineProps<{ view: JobView; newer: RevisionRow }>()
const emit = defineEmits<{ record: [happening: Happening]; back: [] }>()
const change = computed(() => specChange(props.view.pin.spec.engine, props.newer.engine))
const take = () =>
  emit('record', {
    type: 'spec-taken',
    payload: { revisionId: props.newer.id, revision: props.newer.revision, engine: props.newer.engine },
  })
</script>

<template>
  <PanelFrame :title="`Revision ${newer.revision} is in force`" label="What it changes" @back="emit('back')">
    <p>
      This job goes by revision {{ view.pin.spec.revision }}. {{ newer.author }}, {{ newer.source }}:
      {{ newer.reason }}.
    </p>
    <table class="rows">
      <tbody>
        <tr v-for="l in change.lines" :key="l.id">
          <th>{{ l.name }}</th>
          <td>{{ l.before.value || 'none' }}</td>
          <td aria-hidden="true">→</td>
          <td>
            <b>{{ l.after.value || 'none' }}</b><small v-if="l.note">{{ l.note }}</small>
          </td>
        </tr>
      </tbody>
    </table>
    <p v-if="change.lines.length === 0">The figures are the same; only the source differs.</p>
    <p v-if="change.refused" class="wrong" role="alert">{{ change.refused }}</p>
    <template v-else
      ><p>Your readings stay and are judged by the new figures.</p>
      <button type="button" class="key pick" @click="take">
        <b>Take revision {{ newer.revision }}</b
        ><span>the sheet says so</span>
      </button></template
    >
    <button type="button" class="key pick" @click="emit('back')">
      <b>Keep revision {{ view.pin.spec.revision }}</b
      ><span>finish this job on the old one</span>
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
