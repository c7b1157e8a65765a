<script setup lang="ts">
import { NuxtLink } from '#components'
import { computed } from 'vue'
import type { ModelResponse, RevisionRow } from '~~/shared/spec-book'
import TextField from '../forms/TextField.vue'
import { useDecision } from '../../composables/useDecision'
import { revisionTitle } from './revision-words'

/** Who made a revision, why, and what a lead may do with a draft. */
const props = defineProps<{ given: ModelResponse; after: RevisionRow }>()
const emit = defineEmits<{ decided: [] }>()
const modelId = computed(() => props.given.model.id)
const oldJobs = computed(() => props.given.openJobs.filter(j => j.revisionId !== props.after.id))
const { form, open, own, mayApprove, asking, reason, approve, sendBack, day } = useDecision(
  () => ({ model: props.given, after: props.after }),
  () => emit('decided'),
)
</script>

<template>
  <aside class="panel">
    <p class="label">{{ after.reason }}</p>
    <h1>
      {{
        open
          ? `Approve draft ${after.revision}?`
          : after.sentBackAt
            ? 'Sent back'
            : `${revisionTitle(after)} ${after.id === given.model.revisionId ? 'is in force' : 'was approved'}`
      }}
    </h1>
    <dl>
      <dt>Who</dt>
      <dd>{{ after.author }}, {{ day(after.createdAt) }}</dd>
      <dt>Why</dt>
      <dd>{{ after.reason }}</dd>
      <dt>Source</dt>
      <dd>
        {{ after.source }}, <span class="whole">{{ after.sourceDate }}</span>
      </dd>
      <template v-if="after.approvedBy"
        ><dt>Approved</dt>
        <dd>{{ after.approvedBy }}{{ after.approvalReason ? `: ${after.approvalReason}` : '' }}</dd></template
      ><template v-if="after.answered.length"
        ><dt>Answered</dt>
        <dd>
          <span v-for="d in after.answered" :key="d.id">{{ d.says }} <b>As printed.</b> </span>
        </dd></template
      >
    </dl>
    <template v-if="open && mayApprove">
      <button v-if="asking !== 'back'" type="button" class="key" @click="approve">
        <b>Approve</b
        ><small
          >new jobs use revision {{ after.revision }} from now;
          {{
            oldJobs.length === 0
              ? 'no job is open'
              : oldJobs.length === 1
                ? 'the open job is offered it'
                : `${oldJobs.length} open jobs are offered it`
          }}</small
        >
      </button>
      <button v-if="asking !== 'approve'" type="button" class="key" @click="sendBack">
        <b>Send back</b><small>with a reason, to {{ after.author }}</small>
      </button>
      <form v-if="asking" @submit.prevent="asking === 'approve' ? approve() : sendBack()">
        <TextField
          v-model="reason"
          :label="asking === 'approve' ? 'Your own draft: why approve it yourself?' : 'Why back?'"
          :wrong="form.wrong('reason')"
        />
        <p class="two">
          <button type="submit" class="quiet">
            {{ asking === 'approve' ? 'Approve it' : 'Send it back' }}</button><button
            type="button"
            class="quiet"
            @click="asking = null"
          >
            Wait
          </button>
        </p>
      </form>
      <NuxtLink v-else class="key" :to="`/spec-book/${modelId}`"><b>Wait</b><small>it stays a draft</small></NuxtLink>
    </template>
    <p v-else-if="open" class="needs">
      {{ own ? 'You can’t approve your own draft: another lead checks it.' : 'A lead approves it or sends it back.' }}
    </p>
    <p v-if="form.failed.value" class="wrong" role="alert">{{ form.failed.value }}</p>
    <section v-if="oldJobs.length" class="jobs">
      <h2>{{ oldJobs.length === 1 ? '1 open job goes' : `${oldJobs.length} open jobs go` }} by an earlier one</h2>
      <p v-for="j in oldJobs" :key="j.id">
        <NuxtLink :to="`/jobs/${j.id}`">Job {{ j.number }}, {{ j.machine }}</NuxtLink
        ><span>{{ j.person }}, revision {{ j.revision }}</span>
      </p>
      <p class="note">They keep it until their mechanic switches, and the sheet shows which one.</p>
    </section>
    <p class="others"><NuxtLink :to="`/spec-book/${modelId}`">Back to the model</NuxtLink></p>
  </aside>
</template>

<style scoped>
.note,
.tr p.note {
  font-size: 15px;
  color: var(--ink2);
}
.panel {
  background: var(--sheet);
  padding: 20px 24px;
  display: grid;
  gap: 14px;
  align-content: start;
}
.panel h1 {
  font-size: 33px;
  line-height: 1.1;
}
.label {
  font: 600 16px/1.2 var(--figures);
  color: var(--petrol);
}
dl {
  display: grid;
  grid-template-columns: 76px 1fr;
  gap: 4px 10px;
  margin: 0;
  font-size: 16px;
  line-height: 1.3;
}
dt {
  font: 600 16px/1.3 var(--figures);
}
dd {
  margin: 0;
  overflow-wrap: anywhere;
}
.key {
  padding: 12px 16px;
  gap: 3px;
  text-decoration: none;
  color: var(--ink);
}
.key b {
  font: 600 20px/1.2 var(--figures);
}
.key small {
  font-family: var(--sentences);
}
.needs {
  border-top: 1px solid var(--line);
  padding-top: 12px;
  color: var(--ink2);
}
.whole,
.jobs span {
  white-space: nowrap;
}
.two {
  display: flex;
  gap: 10px;
  margin-top: 10px;
}
.jobs {
  border-top: 1px solid var(--line);
  padding-top: 12px;
  display: grid;
  gap: 6px;
}
.jobs h2 {
  font-size: 18px;
}
.jobs p {
  display: flex;
  justify-content: space-between;
  gap: 10px;
  font-size: 16px;
}
</style>
