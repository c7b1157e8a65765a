<script setup lang="ts">
import { NuxtLink } from '#components'
import Button from 'primevue/button'
import { reactive, ref } from 'vue'
import type { MachineRow } from '~~/shared/responses'
import type { ModelHit } from '~~/shared/spec-book'
import { useMachineEdits } from '../../composables/useMachineEdits'
import ChoiceField from './ChoiceField.vue'
import ModelPick from './ModelPick.vue'
import OwnerPick, { type Owner } from './OwnerPick.vue'
import TextField from './TextField.vue'

/** A machine of a customer; the owner is chosen, or added with it. */
const emit = defineEmits<{ added: [machine: MachineRow]; back: [] }>()
const { form, add } = useMachineEdits()
const machine = reactive({ name: '', tag: '', serial: '', plate: '', meterUnit: 'h' as 'h' | 'km' | 'mi' | null })
const customer = ref<Owner | null>(null)
const model = ref<ModelHit | string | null>(null)
const none = ref(false)

async function submit(): Promise<void> {
  const row = await add({
    ...machine,
    modelId: typeof model.value === 'object' ? model.value?.id : null,
    customer: customer.value,
  })
  if (row) emit('added', row)
}
</script>

<template>
  <form class="machine" @submit.prevent="submit">
    <h2>Add a machine</h2>
    <div class="grid">
      <TextField v-model="machine.name" label="Name" placeholder="Minnow 125, red" :wrong="form.wrong('name')" />
      <TextField v-model="machine.tag" label="Tag" placeholder="M-0110" :wrong="form.wrong('tag')" />
      <ModelPick v-model="model" label="Engine model" :wrong="form.wrong('modelId')" @none="none = true" />
      <ChoiceField
        v-model="machine.meterUnit"
        label="Meter counts"
        :options="[
          { value: 'h', label: 'hours' },
          { value: 'km', label: 'km' },
          { value: 'mi', label: 'miles' },
        ]"
        :wrong="form.wrong('meterUnit')"
      />
      <TextField v-model="machine.plate" label="Plate" note="May stay empty." :wrong="form.wrong('plate')" /><TextField
        v-model="machine.serial"
        label="Serial number"
        note="May stay empty."
        :wrong="form.wrong('serial')"
      />
      <OwnerPick v-model="customer" :wrong="form.wrong('customer.name') ?? form.wrong('customer')" />
    </div>
    <p v-if="none" class="note">
      No engine model yet: <NuxtLink to="/spec-book/new">add one with its spec</NuxtLink> first.
    </p>
    <p v-if="form.failed.value" class="wrong" role="alert">{{ form.failed.value }}</p>
    <div class="actions">
      <Button type="submit" label="Add it" :loading="form.busy.value" /><button
        type="button"
        class="quiet"
        @click="emit('back')"
      >
        Back
      </button>
    </div>
  </form>
</template>

<style scoped>
.machine {
  display: grid;
  gap: 18px;
}
</style>
