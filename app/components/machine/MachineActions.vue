<script setup lang="ts">
import Button from 'primevue/button'
import Checkbox from 'primevue/checkbox'
import { computed, reactive, ref } from 'vue'
import type { MachineResponse } from '~~/shared/machines'
import type { MachineRow } from '~~/shared/responses'
import type { ModelHit } from '~~/shared/spec-book'
import { METER_UNITS } from '../forms/meter-units'
import ChoiceField from '../forms/ChoiceField.vue'
import MachinePick from '../forms/MachinePick.vue'
import ModelPick from '../forms/ModelPick.vue'
import OwnerPick, { type Owner } from '../forms/OwnerPick.vue'
import DayField from '../forms/DayField.vue'
import TextField from '../forms/TextField.vue'
import { useMachineEdits } from '../../composables/useMachineEdits'
import { meterEither, meterOf } from './meter-field'
import PastVisitForm from './PastVisitForm.vue'
import { t } from '../../words'

/** What may be put right or told of a machine outside a job, one thing at a time. */
const props = defineProps<{ seen: MachineResponse; unit: 'mm' | 'thou' }>()
const emit = defineEmits<{ done: []; changed: [intoId?: number] }>()
const edits = useMachineEdits()
const { form } = edits
type What = 'edit' | 'owner' | 'meter' | 'visit' | 'engine' | 'double'
const what = ref<What>('edit')
const WHATS: { value: What; label: string }[] = [
  { value: 'edit', label: t('machine-actions.name-tag-plate-numbers') },
  { value: 'owner', label: t('machine-actions.another-owner') },
  { value: 'meter', label: t('machine-actions.the-meter-was-read') },
  { value: 'visit', label: t('machine-actions.an-earlier-visit-from-paper') },
  { value: 'engine', label: t('machine-actions.the-engine-was-swapped') },
  { value: 'double', label: t('machine-actions.its-on-record-twice') },
]
const id = computed(() => props.seen.machine.id)
const today = new Intl.DateTimeFormat('en-CA').format(new Date())
const edit = reactive({
  name: props.seen.machine.name,
  tag: props.seen.machine.tag,
  plate: props.seen.machine.plate,
  serial: props.seen.machine.serial,
  meterUnit: props.seen.machine.meterUnit as MachineRow['meterUnit'] | null,
})
const customer = ref<Owner | null>(null)
const model = ref<ModelHit | string | null>(null)
const told = reactive({ on: today, meter: '', replaced: false, words: '' })
const into = ref<MachineRow | string | null>(null)
const intoId = computed(() => (typeof into.value === 'object' ? (into.value?.id ?? null) : null))
const kept = ref('')

/** What was chosen is sent; null where the form says what is wrong. */
function send(): Promise<MachineRow | null> {
  switch (what.value) {
    case 'edit':
      return edits.edit(id.value, edit)
    case 'owner':
      return edits.owner(id.value, { customer: customer.value })
    case 'meter':
      return edits.meter(id.value, { on: told.on, meter: meterOf(told.meter), replaced: told.replaced })
    case 'engine':
      return edits.engine(id.value, {
        on: told.on,
        modelId: typeof model.value === 'object' ? model.value?.id : null,
        words: told.words,
      })
    default:
      return edits.merge(id.value, intoId.value)
  }
}
async function submit(): Promise<void> {
  kept.value = ''
  const answer = await send()
  if (!answer) return
  kept.value = t('common.saved')
  emit('changed', what.value === 'double' ? intoId.value! : undefined)
}
</script>

<template>
  <div class="actions-panel">
    <header>
      <h2>{{ t('common.edit') }}</h2>
      <Button severity="secondary" outlined @click="emit('done')">{{ t('common.close') }}</Button>
    </header>
    <ChoiceField v-model="what" :label="t('machine-actions.what')" :options="WHATS" />
    <PastVisitForm v-if="what === 'visit'" :seen="seen" :unit="unit" @changed="emit('changed')" />
    <form v-else class="one" @submit.prevent="submit">
      <template v-if="what === 'edit'">
        <TextField v-model="edit.name" :label="t('common.name')" :wrong="form.wrong('name')" /><TextField
          v-model="edit.tag"
          :label="t('common.tag')"
          :wrong="form.wrong('tag')"
        /><TextField v-model="edit.plate" :label="t('common.plate')" :wrong="form.wrong('plate')" /><TextField
          v-model="edit.serial"
          :label="t('common.serial-number')"
          :wrong="form.wrong('serial')"
        />
        <ChoiceField
          v-model="edit.meterUnit"
          :label="t('common.meter-counts')"
          :options="METER_UNITS"
          :wrong="form.wrong('meterUnit')"
        />
      </template>
      <template v-else-if="what === 'owner'"
        ><p class="note">{{ t('machine-actions.its-history-stays-with-the') }}</p>
        <OwnerPick
          v-model="customer"
          :but-id="seen.machine.customerId"
          :wrong="form.wrong('customer.name') ?? form.wrong('customer')"
      /></template>
      <template v-else-if="what === 'meter'"
        ><DayField v-model="told.on" :label="t('machine-actions.on')" :wrong="form.wrong('on')" /><TextField
          v-model="told.meter"
          :label="t('machine-actions.meter', { meterUnit: seen.machine.meterUnit })"
          inputmode="decimal"
          :wrong="meterEither(told.meter) || form.wrong('meter')"
        />
        <div class="tick">
          <Checkbox v-model="told.replaced" input-id="meter-replaced" binary /><label for="meter-replaced">{{
            t('common.the-meter-was-replaced-before')
          }}</label>
        </div></template
      >
      <template v-else-if="what === 'engine'"
        ><p class="note">{{ t('machine-actions.drift-starts-over-with-the') }}</p>
        <DayField v-model="told.on" :label="t('machine-actions.put-in-on')" :wrong="form.wrong('on')" /><ModelPick
          v-model="model"
          :label="t('machine-actions.engine-model-now')"
          :wrong="form.wrong('modelId')" /><TextField
          v-model="told.words"
          :label="t('machine-actions.why-in-a-word-or')"
          :wrong="form.wrong('words')"
      /></template>
      <template v-else
        ><p class="note">{{ t('machine-actions.everything-on-record-here-moves') }}</p>
        <MachinePick
          v-model="into"
          :label="t('machine-actions.the-one-that-stays')"
          :but-id="id"
          :wrong="form.wrong('intoId')"
      /></template>
      <p v-if="form.failed.value" class="wrong" role="alert">{{ form.failed.value }}</p>
      <p v-else-if="kept" class="note" role="status">{{ kept }}</p>
      <div class="actions">
        <Button
          type="submit"
          :label="what === 'double' ? t('machine-actions.merge-them') : t('common.keep')"
          :loading="form.busy.value"
        />
      </div>
    </form>
  </div>
</template>

<style scoped>
.actions-panel,
.one {
  display: grid;
  gap: 14px;
  align-content: start;
}
header {
  display: flex;
  justify-content: space-between;
  align-items: center;
}
h2 {
  font-size: 22px;
}
.tick {
  display: flex;
  gap: 10px;
  align-items: center;
  min-height: 44px;
}
.note {
  color: var(--ink2);
  font-size: 16px;
}
</style>
