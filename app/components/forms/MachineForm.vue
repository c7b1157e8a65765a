<script setup lang="ts">
import Button from 'primevue/button'
import { reactive, ref, watch } from 'vue'
import { NuxtLink } from '#components'
import { type MachineRow, machineSchema } from '~~/shared/machines'
import type { ModelHit } from '~~/shared/spec-book'
import { useMachineEdits } from '../../composables/useMachineEdits'
import { useNextTag } from '../../composables/useNextTag'
import { t } from '../../words'
import CheckedForm from './CheckedForm.vue'
import ChoiceField from './ChoiceField.vue'
import { METER_UNITS } from './meter-units'
import ModelPick from './ModelPick.vue'
import OwnerPick, { type Owner } from './OwnerPick.vue'
import TextField from './TextField.vue'

/**
 * A machine of a customer; the owner is chosen, or added with it. What was looked for and not found is what it is
 * called.
 */
const props = defineProps<{ called?: string }>()
const emit = defineEmits<{ added: [machine: MachineRow]; back: [] }>()
const { form, add } = useMachineEdits()
const machine = reactive({
  name: props.called?.trim() ?? '',
  tag: '',
  serial: '',
  plate: '',
  meterUnit: 'h' as 'h' | 'km' | 'mi' | null,
})
const customer = ref<Owner | null>(null)
const model = ref<ModelHit | string | null>(null)
const none = ref(false)
const nextTag = useNextTag()
// what somebody typed meanwhile stays
watch(nextTag, tag => {
  machine.tag ||= tag
})

const body = () => ({
  ...machine,
  modelId: typeof model.value === 'object' ? model.value?.id : null,
  customer: customer.value,
})
async function submit(): Promise<void> {
  const row = await add(body())
  if (row) emit('added', row)
}
</script>

<template>
  <CheckedForm class="machine" :form="form" :schema="machineSchema" :body="body" @send="submit">
    <h2>{{ t('common.add-a-machine') }}</h2>
    <div class="grid">
      <TextField
        v-model="machine.name"
        :label="t('common.name')"
        :placeholder="t('machine-form.what-you-call-it')"
        name="name"
      />
      <TextField v-model="machine.tag" :label="t('common.tag')" name="tag" />
      <ModelPick v-model="model" :label="t('machine-form.engine-model')" name="modelId" @none="none = true" />
      <ChoiceField
        v-model="machine.meterUnit"
        :label="t('common.meter-counts')"
        :options="METER_UNITS"
        name="meterUnit"
      />
      <TextField
        v-model="machine.plate"
        :label="t('common.plate')"
        :note="t('machine-form.may-stay-empty')"
        name="plate"
      /><TextField
        v-model="machine.serial"
        :label="t('common.serial-number')"
        :note="t('machine-form.may-stay-empty')"
        name="serial"
      />
      <OwnerPick v-model="customer" name="customer" />
    </div>
    <p v-if="none" class="note">
      {{ t('machine-form.no-engine-model-yet') }}
      <NuxtLink to="/spec-book/new">{{ t('machine-form.add-one-with-its-spec') }}</NuxtLink>
      {{ t('machine-form.first') }}
    </p>
    <p v-if="form.failed.value" class="wrong" role="alert">{{ form.failed.value }}</p>
    <div class="actions">
      <Button type="submit" :label="t('machine-form.add-it')" :loading="form.busy.value" /><Button
        severity="secondary"
        outlined
        @click="emit('back')"
      >
        {{ t('common.back') }}
      </Button>
    </div>
  </CheckedForm>
</template>

<style scoped>
.machine {
  display: grid;
  gap: 18px;
}
</style>
