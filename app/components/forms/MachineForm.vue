<script setup lang="ts">
import { NuxtLink } from '#components'
import Button from 'primevue/button'
import { computed, onMounted, reactive, ref } from 'vue'
import type { CustomerRow, MachineRow, ModelRow } from '~~/shared/responses'
import { useForm } from '../../composables/useForm'
import { api } from '../../utils/api'
import ChoiceField from './ChoiceField.vue'
import TextField from './TextField.vue'

/** A machine of a customer; the owner is chosen, or added with it. */
const emit = defineEmits<{ added: [machine: MachineRow], back: [] }>()
const form = useForm()
const models = ref<ModelRow[]>([])
const customers = ref<CustomerRow[]>([])
const machine = reactive({ name: '', tag: '', serial: '', modelId: null as number | null, meterUnit: 'h' as 'h' | 'km' | 'mi' | null })
const NEW = 0
const owner = ref<number | null>(NEW)
const ownerName = ref('')
onMounted(async () => {
  models.value = await form.send(() => api.get<ModelRow[]>('/api/models')) ?? []
  customers.value = await form.send(() => api.get<CustomerRow[]>('/api/customers')) ?? []
})
const owners = computed(() => [{ value: NEW, label: 'A new owner' }, ...customers.value.map(c => ({ value: c.id, label: c.name }))])
const modelOptions = computed(() => models.value.map(m => ({ value: m.id, label: `${m.maker} ${m.model}${m.code ? `, ${m.code}` : ''}` })))

async function submit(): Promise<void> {
  const customer = owner.value === NEW ? { name: ownerName.value, contact: '' } : { id: owner.value }
  const row = await form.send(() => api.post<MachineRow>('/api/machines', { ...machine, customer }))
  if (row) emit('added', row)
}
</script>

<template>
  <form class="machine" @submit.prevent="submit">
    <h2>Add a machine</h2>
    <div class="grid">
      <TextField v-model="machine.name" label="Name" placeholder="Minnow 125, red" :wrong="form.wrong('name')" />
      <TextField v-model="machine.tag" label="Tag" placeholder="M-0110" :wrong="form.wrong('tag')" />
      <ChoiceField v-model="machine.modelId" label="Engine model" :options="modelOptions" filter :wrong="form.wrong('modelId')" placeholder="Choose" />
      <ChoiceField v-model="machine.meterUnit" label="Meter counts" :options="[{ value: 'h', label: 'hours' }, { value: 'km', label: 'km' }, { value: 'mi', label: 'miles' }]" :wrong="form.wrong('meterUnit')" />
      <TextField v-model="machine.serial" label="Serial number" note="May stay empty." :wrong="form.wrong('serial')" />
      <ChoiceField v-model="owner" label="Owner" :options="owners" />
      <TextField v-if="owner === 0" v-model="ownerName" label="New owner’s name" :wrong="form.wrong('customer.name') ?? form.wrong('customer')" />
    </div>
    <p v-if="models.length === 0 && !form.busy.value" class="note">No engine model yet: <NuxtLink to="/spec-book/new">add one with its spec</NuxtLink> first.</p>
    <p v-if="form.failed.value" class="wrong" role="alert">{{ form.failed.value }}</p>
    <div class="actions"><Button type="submit" label="Add it" :loading="form.busy.value" /><button type="button" class="quiet" @click="emit('back')">Back</button></div>
  </form>
</template>

<style scoped>
.machine { display: grid; gap: 18px; }
</style>
