<script setup lang="ts">
import Button from 'primevue/button'
import { computed } from 'vue'
import { NuxtLink } from '#components'
import type { ModelResponse, RevisionRow } from '~~/shared/spec-book'
import { useDecision } from '../../composables/useDecision'
import { t, tell } from '../../words'
import TextField from '../forms/TextField.vue'
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
          ? t('decide-panel.approve-draft', { revision: after.revision })
          : after.sentBackAt
            ? t('decide-panel.sent-back')
            : `${revisionTitle(after)} ${after.id === given.model.revisionId ? t('decide-panel.is-in-force') : t('decide-panel.was-approved')}`
      }}
    </h1>
    <dl>
      <dt>{{ t('common.who') }}</dt>
      <dd>{{ after.author }}, {{ day(after.createdAt) }}</dd>
      <dt>{{ t('common.why') }}</dt>
      <dd>{{ after.reason }}</dd>
      <dt>{{ t('common.source') }}</dt>
      <dd>
        {{ after.source }}, <span class="whole">{{ after.sourceDate }}</span>
      </dd>
      <template v-if="after.approvedBy"
        ><dt>{{ t('decide-panel.approved') }}</dt>
        <dd>{{ after.approvedBy }}{{ after.approvalReason ? `: ${after.approvalReason}` : '' }}</dd></template
      ><template v-if="after.answered.length"
        ><dt>{{ t('decide-panel.answered') }}</dt>
        <dd>
          <span v-for="d in after.answered" :key="d.id"
            >{{ tell(d.says) }} <b>{{ t('decide-panel.as-printed') }}</b>
          </span>
        </dd></template
      >
    </dl>
    <template v-if="open && mayApprove">
      <button v-if="asking !== 'back'" type="button" class="key" @click="approve">
        <b>{{ t('decide-panel.approve') }}</b><small>{{
          t('decide-panel.new-jobs-use-revision-from', {
            revision: after.revision,
            count:
              oldJobs.length === 0
                ? t('decide-panel.no-job-is-open')
                : oldJobs.length === 1
                  ? t('decide-panel.the-open-job-is-offered')
                  : t('decide-panel.open-jobs-are-offered-it', { count: oldJobs.length }),
          })
        }}</small>
      </button>
      <button v-if="asking !== 'approve'" type="button" class="key" @click="sendBack">
        <b>{{ t('decide-panel.send-back') }}</b><small>{{
          t('decide-panel.with-a-reason-to', { author: after.author })
        }}</small>
      </button>
      <form v-if="asking" @submit.prevent="asking === 'approve' ? approve() : sendBack()">
        <TextField
          v-model="reason"
          :label="asking === 'approve' ? t('decide-panel.your-own-draft-why-approve') : t('decide-panel.why-back')"
          :wrong="form.wrong('reason')"
        />
        <p class="two">
          <Button type="submit" severity="secondary" outlined>
            {{ asking === 'approve' ? t('decide-panel.approve-it') : t('decide-panel.send-it-back') }}</Button><Button
            severity="secondary"
            outlined
            @click="asking = null"
          >
            {{ t('decide-panel.wait') }}
          </Button>
        </p>
      </form>
      <NuxtLink v-else class="key" :to="`/spec-book/${modelId}`"
        ><b>{{ t('decide-panel.wait') }}</b
        ><small>{{ t('decide-panel.it-stays-a-draft') }}</small></NuxtLink
      >
    </template>
    <p v-else-if="open" class="needs">
      {{ own ? t('decide-panel.you-cant-approve-your-own') : t('decide-panel.a-lead-approves-it-or') }}
    </p>
    <p v-if="form.failed.value" class="wrong" role="alert">{{ form.failed.value }}</p>
    <section v-if="oldJobs.length" class="jobs">
      <h2>
        {{
          t('decide-panel.by-an-earlier-one', {
            jobs: oldJobs.length,
          })
        }}
      </h2>
      <p v-for="j in oldJobs" :key="j.id">
        <NuxtLink :to="`/jobs/${j.id}`">{{
          t('decide-panel.job', { number: j.number, machine: j.machine })
        }}</NuxtLink><span>{{ t('decide-panel.revision', { person: j.person, revision: j.revision }) }}</span>
      </p>
      <p class="note">{{ t('decide-panel.they-keep-it-until-their') }}</p>
    </section>
    <p class="others">
      <NuxtLink :to="`/spec-book/${modelId}`">{{ t('decide-panel.back-to-the-model') }}</NuxtLink>
    </p>
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
