<script setup lang="ts">
import { NuxtLink } from '#components'
import Button from 'primevue/button'
import AutoComplete from 'primevue/autocomplete'
import { computed, onMounted, reactive, ref, watch } from 'vue'
import type { CustomerRow, MachineRow } from '~~/shared/responses'
import type { ModelHit } from '~~/shared/spec-book'
import { useForm } from '../../composables/useForm'
import { useModelSearch } from '../../composables/useModelSearch'
import { api } from '../../utils/api'
import ChoiceField from './ChoiceField.vue'
import TextField from './TextField.vue'

/** A machine of a customer; the owner is chosen, or added with it. */
const emit = defineEmits<{ added: [machine: MachineRow], back: [] }>()
const form = useForm()
const customers = ref<CustomerRow[]>([])
const machine = reactive({ name: '', tag: '', serial: '', meterUnit: 'h' as 'h' | 'km' | 'mi' | null })
const NEW = 0
const owner = ref<number | null>(NEW)
const ownerName = ref('')
onMounted(async () => {
  void ask()
  customers.value = await form.send(() => api.get<CustomerRow[]>('/api/customers')) ?? []
})
const owners = computed(() => [{ value: NEW, label: 'A new owner' }, ...customers.value.map(c => ({ value: c.id, label: c.name }))])
const { q, found, ask } = useModelSearch(12)
/** The model that was picked, or what was typed of it so far. */
const model = ref<ModelHit | string | null>(null)
const suggestions = ref<ModelHit[]>([])
watch(found, (answer) => { suggestions.value = answer?.rows ?? [] })
function suggest({ query }: { query: string }): void {
  // the list wants an answer to each asking, also to the same one
  suggestions.value = [...found.value?.rows ?? []]
  q.value = query
}
const nameOf = (m: ModelHit | string) => typeof m === 'string' ? m : `${m.maker} ${m.model}${m.code ? `, ${m.code}` : ''}`

async function submit(): Promise<void> {
  const customer = owner.value === NEW ? { name: ownerName.value, contact: '' } : { id: owner.value }
  const row = await form.send(() => api.post<MachineRow>('/api/machines', { ...machine, modelId: typeof model.value === 'object' ? model.value?.id : null, customer }))
  if (row) emit('added', row)
}
</script>

<template>
  <form class="machine" @submit.prevent="submit">
    <h2>Add a machine</h2>
    <div class="grid">
      <TextField v-model="machine.name" label="Name" placeholder="Minnow 125, red" :wrong="form.wrong('name')" />
      <TextField v-model="machine.tag" label="Tag" placeholder="M-0110" :wrong="form.wrong('tag')" />
      <div class="field">
        <label for="engine-model">Engine model</label>
        <AutoComplete v-model="model" input-id="engine-model" :suggestions="suggestions" :option-label="nameOf" :delay="0" :min-length="0" complete-on-focus placeholder="Type maker, model or code" :invalid="!!form.wrong('modelId')" @complete="suggest">
          <template #option="{ option }"><span>{{ nameOf(option) }}<br><small>{{ option.kind }}, intake {{ option.intake }}, exhaust {{ option.exhaust }}</small></span></template>
          <template #empty>Nothing like that in the spec book.</template>
        </AutoComplete>
        <p v-if="form.wrong('modelId')" class="wrong" role="alert">{{ form.wrong('modelId') }}</p>
      </div>
      <ChoiceField v-model="machine.meterUnit" label="Meter counts" :options="[{ value: 'h', label: 'hours' }, { value: 'km', label: 'km' }, { value: 'mi', label: 'miles' }]" :wrong="form.wrong('meterUnit')" />
      <TextField v-model="machine.serial" label="Serial number" note="May stay empty." :wrong="form.wrong('serial')" />
      <ChoiceField v-model="owner" label="Owner" :options="owners" />
      <TextField v-if="owner === 0" v-model="ownerName" label="New owner’s name" :wrong="form.wrong('customer.name') ?? form.wrong('customer')" />
    </div>
    <p v-if="found?.total === 0" class="note">No engine model yet: <NuxtLink to="/spec-book/new">add one with its spec</NuxtLink> first.</p>
    <p v-if="form.failed.value" class="wrong" role="alert">{{ form.failed.value }}</p>
    <div class="actions"><Button type="submit" label="Add it" :loading="form.busy.value" /><button type="button" class="quiet" @click="emit('back')">Back</button></div>
  </form>
</template>

<style scoped>
.machine { display: grid; gap: 18px; }
</style>
