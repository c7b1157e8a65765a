<script setup lang="ts">
import Button from 'primevue/button'
import { eventWords, type JobEvent, type JobPin } from '~~/core/job'
import type { RevisionRow } from '~~/shared/spec-book'
import type { Waiting } from '../../local/database'
import { asEvent } from '../../local/outbox'
import { t, tell } from '../../words'

/** What must not be overlooked: an ended session, answers the shop would not take, answers whose place is not known. */
defineProps<{
  expired: boolean
  /** Why the last answer does not count, or what is wrong with keeping answers here. */
  unrecorded: string | null
  /** Why the shop did not open this job, which began here. */
  notOpened: string | null
  toSend: number
  refused: Waiting[]
  unplaced: JobEvent[]
  pin: JobPin
  newer: RevisionRow | null
}>()
defineEmits<{
  signIn: []
  discard: [id: string]
  place: [id: string, when: 'before' | 'after']
  newer: []
  notOpened: []
}>()
</script>

<template>
  <div
    v-if="unrecorded || notOpened || expired || refused.length || unplaced.length || newer"
    class="notices"
    role="alert"
  >
    <div v-if="unrecorded" class="notice stop" data-testid="unrecorded">
      <p>{{ unrecorded }}</p>
    </div>
    <div v-if="notOpened" class="notice stop" data-testid="not-opened">
      <p>{{ notOpened }}</p>
      <Button severity="secondary" outlined @click="$emit('notOpened')">{{
        t('bench-notices.what-can-be-done')
      }}</Button>
    </div>
    <div v-if="expired" class="notice">
      <p>
        {{ t('bench-notices.session-ended', { answers: toSend }) }}
      </p>
      <Button severity="secondary" outlined @click="$emit('signIn')">{{ t('common.sign-in') }}</Button>
    </div>
    <div v-for="w in refused" :key="w.id" class="notice">
      <p>
        <b>{{ tell(eventWords(pin, asEvent(w))) }}</b>
        {{ t('bench-notices.was-not-taken', { refused: w.refused ?? '' }) }}
      </p>
      <Button severity="secondary" outlined @click="$emit('discard', w.id)">{{ t('bench-notices.discard-it') }}</Button>
    </div>
    <div v-for="e in unplaced" :key="e.id" class="notice">
      <p>
        <b>{{ tell(eventWords(pin, e)) }}</b>
        {{ t('bench-notices.another-device-felt-before-or', { person: e.personName }) }}
      </p>
      <Button severity="secondary" outlined @click="$emit('place', e.id, 'before')">
        {{ t('bench-notices.before') }}</Button><Button
        severity="secondary"
        outlined
        @click="$emit('place', e.id, 'after')"
      >
        {{ t('bench-notices.after') }}
      </Button>
    </div>
    <div v-if="newer" class="notice">
      <p>
        <b>{{ t('bench-notices.the-spec-was-superseded') }}</b>
        {{ t('bench-notices.revision-is-in-force-this', { inForce: newer.revision, own: pin.spec.revision }) }}
      </p>
      <Button severity="secondary" outlined @click="$emit('newer')">{{ t('bench-notices.see-what-changes') }}</Button>
    </div>
  </div>
</template>

<style scoped>
.notices {
  display: grid;
  gap: 8px;
  margin-bottom: 10px;
}
.notice {
  border: 1.5px solid var(--ink);
  border-left-width: 6px;
  padding: 8px 10px;
  display: flex;
  flex-wrap: wrap;
  gap: 8px;
  align-items: center;
  background: var(--white);
  font-size: 15.5px;
  line-height: 1.3;
}
.notice.stop {
  border-color: var(--alarm);
  color: var(--alarm);
  font-weight: 600;
}
.notice p {
  flex: 1 1 180px;
}
</style>
