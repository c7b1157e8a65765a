<script setup lang="ts">
import Button from 'primevue/button'
import Column from 'primevue/column'
import DataTable from 'primevue/datatable'
import { ref } from 'vue'
import type { SignedInDevice } from '~~/shared/phones'
import { LOCALE } from '../../language'
import { t } from '../../words'
import EndButton from '../forms/EndButton.vue'
import TextField from '../forms/TextField.vue'

/** Where somebody is signed in; a lead names a device, or signs it out. */
const props = defineProps<{ devices: SignedInDevice[]; timeZone: string }>()
const emit = defineEmits<{ rename: [id: string, name: string]; signOut: [id: string] }>()
const naming = ref<SignedInDevice | null>(null)
const name = ref('')
function begin(device: SignedInDevice): void {
  naming.value = device
  name.value = device.name
}
function send(): void {
  if (naming.value && name.value.trim()) emit('rename', naming.value.id, name.value)
  naming.value = null
}
const at = (iso: string | null): string =>
  iso === null
    ? ''
    : new Intl.DateTimeFormat(LOCALE, { dateStyle: 'medium', timeStyle: 'short', timeZone: props.timeZone }).format(
        new Date(iso),
      )
</script>

<template>
  <div class="devices">
    <DataTable class="few" :value="devices" data-key="id">
      <Column field="name" sortable :header="t('trusted-devices.device')" body-class="figures">
        <template #body="{ data }: { data: SignedInDevice }">
          {{ data.name }}<template v-if="data.here"> ({{ t('page-phones.this-one') }})</template>
        </template>
      </Column>
      <Column field="person" sortable :header="t('common.who')" />
      <Column field="seenAt" sortable :header="t('page-phones.seen')">
        <template #body="{ data }: { data: SignedInDevice }">{{ at(data.seenAt ?? data.since) }}</template>
      </Column>
      <Column>
        <template #header
          ><span class="hidden-words">{{ t('common.change') }}</span></template
        >
        <template #body="{ data }: { data: SignedInDevice }">
          <div class="keys">
            <Button
              link
              :label="t('page-phones.rename')"
              :aria-label="t('page-phones.rename-of', { name: data.name })"
              @click="begin(data)"
            />
            <EndButton
              v-if="!data.here"
              :label="t('page-phones.sign-out')"
              :ask="t('page-phones.sign-out-asks', { name: data.name })"
              :aria-label="t('page-phones.sign-out-of', { name: data.name })"
              @end="emit('signOut', data.id)"
            />
          </div>
        </template>
      </Column>
    </DataTable>
    <form v-if="naming" class="naming" @submit.prevent="send">
      <TextField v-model="name" :label="t('page-phones.new-name', { name: naming.name })" name="name" />
      <Button type="submit" :label="t('common.save')" />
      <Button severity="secondary" outlined :label="t('common.leave-it')" @click="naming = null" />
    </form>
  </div>
</template>

<style scoped>
.devices {
  display: grid;
  gap: 14px;
}
.keys {
  display: flex;
  flex-wrap: wrap;
  gap: 4px 12px;
}
.naming {
  display: flex;
  gap: 12px;
  align-items: end;
  flex-wrap: wrap;
}
</style>
