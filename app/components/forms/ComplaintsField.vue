<script setup lang="ts">
import Button from 'primevue/button'
import { type Complaint, COMPLAINTS } from '~~/core/complaint'
import { t } from '../../words'

/** What a machine comes for: any of the usual complaints, by keys. Words of the owner’s own stand beside it. */
const complaints = defineModel<Complaint[]>({ required: true })
const toggle = (complaint: Complaint) => {
  complaints.value = complaints.value.includes(complaint)
    ? complaints.value.filter(c => c !== complaint)
    : [...complaints.value, complaint]
}
</script>

<template>
  <fieldset class="complaints">
    <legend>{{ t('complaints-field.comes-for') }}</legend>
    <div class="keys">
      <Button
        v-for="c in COMPLAINTS"
        :key="c"
        severity="secondary"
        outlined
        :aria-pressed="complaints.includes(c)"
        :label="t('complaint', { complaint: c })"
        @click="toggle(c)"
      />
    </div>
  </fieldset>
</template>

<style scoped>
.complaints {
  border: 0;
  margin: 0;
  padding: 0;
}
legend {
  font-size: 16px;
  padding: 0 0 6px;
}
.keys {
  display: flex;
  flex-wrap: wrap;
  gap: 8px;
}
.p-button {
  min-height: 48px;
}
.p-button :deep(.p-button-label)::first-letter {
  text-transform: uppercase;
}
[aria-pressed='true'] {
  border-color: var(--petrol);
  box-shadow: inset 0 -4px 0 var(--petrol);
}
</style>
