<script setup lang="ts">
import { NuxtLink } from '#components'
import Button from 'primevue/button'
import InputText from 'primevue/inputtext'
import { ref } from 'vue'
import type { Happening, JobState } from '~~/core/job'

/** A job that is not open: on hold, abandoned or signed; and the way back. */
defineProps<{ state: JobState; jobId: number; isLead: boolean }>()
const emit = defineEmits<{ record: [happening: Happening] }>()
const reason = ref('')
const wrong = ref('')
function reopen(): void {
  if (reason.value.trim()) emit('record', { type: 'reopened', payload: { reason: reason.value.trim() } })
  else wrong.value = 'Write why you reopen the job.'
}
</script>

<template>
  <div class="closed">
    <p class="label">{{ { closed: 'Signed', abandoned: 'Abandoned', held: 'On hold', open: '' }[state.status] }}</p>
    <h1 data-testid="instruction">
      {{
        { closed: 'This job is closed', abandoned: 'This job was abandoned', held: 'This job is on hold', open: '' }[
          state.status
        ]
      }}
    </h1>
    <p v-if="state.statusReason" class="why">{{ state.statusReason }}</p>
    <p v-else-if="state.status === 'closed'" class="why">
      Signed by {{ state.closedBy }}. The sheet stays as it was signed.
    </p>
    <NuxtLink v-if="state.status === 'closed'" class="key" :to="`/jobs/${jobId}/sheet`"><b>Job sheet</b></NuxtLink>
    <button
      v-if="state.status === 'held'"
      type="button"
      class="key"
      data-key="1"
      @click="emit('record', { type: 'resumed', payload: {} })"
    >
      <b>Resume it</b>
    </button>
    <form v-if="isLead && state.status !== 'held'" class="reopen" @submit.prevent="reopen">
      <label for="reopen">Reopen it, as lead: why?</label>
      <InputText id="reopen" v-model="reason" :invalid="!!wrong" />
      <p v-if="wrong" class="wrong" role="alert">{{ wrong }}</p>
      <Button type="submit" label="Open again" severity="secondary" outlined />
    </form>
    <p v-else-if="state.status !== 'held'" class="why">A lead can reopen it.</p>
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
