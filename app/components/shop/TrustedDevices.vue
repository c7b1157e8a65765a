<script setup lang="ts">
import Button from 'primevue/button'
import Column from 'primevue/column'
import DataTable from 'primevue/datatable'
import { ref, useTemplateRef, watch } from 'vue'
import { deviceSchema, type TrustedDevice } from '~~/shared/change-of-hands'
import type { useForm } from '../../composables/useForm'
import { LOCALE } from '../../language'
import { t } from '../../words'
import CheckedForm from '../forms/CheckedForm.vue'
import EndButton from '../forms/EndButton.vue'
import TextField from '../forms/TextField.vue'

/** Devices on which the crew changes hands by a PIN: trusted by a lead who holds them, ended from anywhere. */
const props = defineProps<{ devices: TrustedDevice[]; timeZone: string; form: ReturnType<typeof useForm> }>()
const emit = defineEmits<{ trust: [name: string]; end: [id: number] }>()
const name = ref('')
const made = useTemplateRef('made')
// taken in: the field is for the next one, and nothing is missing in it yet
watch(
  () => props.devices.length,
  (now, before) => {
    if (now <= before) return
    name.value = ''
    made.value?.forget()
  },
)
const day = (iso: string | null, zone: string): string =>
  iso === null
    ? t('api-tokens.not-yet')
    : new Intl.DateTimeFormat(LOCALE, { dateStyle: 'medium', timeZone: zone }).format(new Date(iso))
</script>

<template>
  <section class="devices" :aria-label="t('trusted-devices.title')">
    <h2>{{ t('trusted-devices.title') }}</h2>
    <p class="note">{{ t('trusted-devices.what-for') }}</p>
    <DataTable v-if="devices.length" class="few" :value="devices" data-key="id">
      <Column field="name" sortable :header="t('trusted-devices.device')" body-class="figures" />
      <Column field="person" sortable :header="t('trusted-devices.trusted-by')" />
      <Column field="usedAt" sortable :header="t('trusted-devices.last-change')">
        <template #body="{ data }: { data: TrustedDevice }">{{ day(data.usedAt, timeZone) }}</template>
      </Column>
      <Column>
        <template #header
          ><span class="hidden-words">{{ t('trusted-devices.end') }}</span></template
        >
        <template #body="{ data }: { data: TrustedDevice }">
          <EndButton
            :label="t('trusted-devices.end')"
            :ask="t('trusted-devices.signs-out', { name: data.name })"
            :aria-label="t('trusted-devices.end-of', { name: data.name })"
            @end="$emit('end', data.id)"
          />
        </template>
      </Column>
    </DataTable>
    <CheckedForm
      ref="made"
      class="make"
      :form="form"
      :schema="deviceSchema"
      :body="() => ({ name })"
      @send="emit('trust', name)"
    >
      <TextField v-model="name" :label="t('trusted-devices.this-device-is-called')" name="name" />
      <Button type="submit" severity="secondary" outlined>{{ t('trusted-devices.trust-this-device') }}</Button>
    </CheckedForm>
  </section>
</template>

<style scoped>
.devices,
.make {
  display: grid;
  gap: 12px;
  align-content: start;
}
.make {
  grid-template-columns: minmax(0, 1fr) auto;
  align-items: end;
}
@media (max-width: 500px) {
  .make {
    grid-template-columns: minmax(0, 1fr);
  }
}
</style>
