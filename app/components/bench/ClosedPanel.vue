<script setup lang="ts">
import Button from 'primevue/button'
import InputText from 'primevue/inputtext'
import { ref } from 'vue'
import { NuxtLink } from '#components'
import type { Happening, JobState } from '~~/core/job'
import { t } from '../../words'

/** A job that is not open: on hold, abandoned or signed; and the way back. */
defineProps<{ state: JobState; jobId: number; isLead: boolean; keepable: boolean; teaches: number | null }>()
const emit = defineEmits<{ record: [happening: Happening] }>()
const reason = ref('')
const wrong = ref('')
function reopen(): void {
  if (reason.value.trim()) emit('record', { type: 'reopened', payload: { reason: reason.value.trim() } })
  else wrong.value = t('closed-panel.write-why-you-reopen-the')
}
</script>

<template>
  <div class="closed">
    <p class="label">
      {{
        {
          closed: t('common.signed'),
          abandoned: t('closed-panel.abandoned'),
          held: t('common.on-hold'),
          open: '',
        }[state.status]
      }}
    </p>
    <h1 data-testid="instruction">
      {{
        {
          closed: t('closed-panel.this-job-is-closed'),
          abandoned: t('closed-panel.this-job-was-abandoned'),
          held: t('closed-panel.this-job-is-on-hold'),
          open: '',
        }[state.status]
      }}
    </h1>
    <p v-if="state.statusReason" class="why">{{ state.statusReason }}</p>
    <p v-else-if="state.status === 'closed'" class="why">
      {{ t('closed-panel.signed-by-the-sheet-stays', { closedBy: state.closedBy ?? '' }) }}
    </p>
    <NuxtLink v-if="state.status === 'closed'" class="key" :to="`/jobs/${jobId}/sheet`"
      ><b>{{ t('closed-panel.job-sheet') }}</b></NuxtLink
    >
    <NuxtLink v-if="keepable" class="key" :to="`/jobs/${jobId}/keep`"
      ><b>{{ t('closed-panel.keep') }}</b></NuxtLink
    >
    <NuxtLink v-if="state.status === 'closed' && teaches !== null" class="key" :to="`/spec-book/${teaches}/draft?learn`"
      ><b>{{ t('closed-panel.keep-what-came-off') }}</b></NuxtLink
    >
    <button
      v-if="state.status === 'held'"
      type="button"
      class="key"
      data-key="1"
      @click="emit('record', { type: 'resumed', payload: {} })"
    >
      <b>{{ t('closed-panel.resume-it') }}</b>
    </button>
    <form v-if="isLead && state.status !== 'held'" class="reopen" @submit.prevent="reopen">
      <label for="reopen">{{ t('closed-panel.reopen-it-as-lead-why') }}</label>
      <InputText id="reopen" v-model="reason" :invalid="!!wrong" />
      <p v-if="wrong" class="wrong" role="alert">{{ wrong }}</p>
      <Button type="submit" :label="t('closed-panel.open-again')" severity="secondary" outlined />
    </form>
    <p v-else-if="state.status !== 'held'" class="why">{{ t('closed-panel.a-lead-can-reopen-it') }}</p>
  </div>
</template>

<style scoped>
.closed {
  display: grid;
  gap: 12px;
  align-content: start;
}
.label {
  font: 600 15px/1.2 var(--figures);
  color: var(--petrol);
}
h1 {
  font-size: 34px;
  line-height: 36px;
}
.why {
  color: var(--ink2);
}
.key {
  padding: 18px;
  text-decoration: none;
  color: var(--ink);
}
.key b {
  font: 600 22px/1.1 var(--figures);
}
.reopen {
  display: grid;
  gap: 8px;
  margin-top: 20px;
  border-top: 1px solid var(--line);
  padding-top: 16px;
}
</style>
