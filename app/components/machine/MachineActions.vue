<script setup lang="ts">
import Button from 'primevue/button'
import Checkbox from 'primevue/checkbox'
import { computed, reactive, ref, watch } from 'vue'
import type { ZodType } from 'zod'
import { mergeSchema } from '~~/shared/customers'
import {
  engineChangeSchema,
  machineEditSchema,
  type MachineResponse,
  type MachineRow,
  meterSchema,
  ownerChangeSchema,
} from '~~/shared/machines'
import type { ModelHit } from '~~/shared/spec-book'
import { useMachineEdits } from '../../composables/useMachineEdits'
import { useSaid } from '../../composables/useSaid'
import { useTypedOver } from '../../composables/useTypedOver'
import { shopDay } from '../../utils/shop-day'
import { t } from '../../words'
import CheckedForm from '../forms/CheckedForm.vue'
import ChoiceField from '../forms/ChoiceField.vue'
import DayField from '../forms/DayField.vue'
import MachinePick from '../forms/MachinePick.vue'
import { METER_UNITS } from '../forms/meter-units'
import ModelPick from '../forms/ModelPick.vue'
import OwnerPick, { type Owner } from '../forms/OwnerPick.vue'
import TextField from '../forms/TextField.vue'
import { meterEither, meterOf } from './meter-field'
import PastVisitForm from './PastVisitForm.vue'

/** What may be put right or told of a machine outside a job, one thing at a time. */
const props = defineProps<{ seen: MachineResponse; unit: 'mm' | 'thou'; timeZone: string }>()
const emit = defineEmits<{ changed: [intoId?: number] }>()
const edits = useMachineEdits()
const { form } = edits
type What = 'edit' | 'owner' | 'meter' | 'visit' | 'engine' | 'double'
const what = ref<What>('edit')
watch(what, form.forget)
const WHATS: { value: What; label: string }[] = [
  { value: 'edit', label: t('machine-actions.name-tag-plate-numbers') },
  { value: 'owner', label: t('machine-actions.another-owner') },
  { value: 'meter', label: t('machine-actions.the-meter-was-read') },
  { value: 'visit', label: t('machine-actions.an-earlier-visit-from-paper') },
  { value: 'engine', label: t('machine-actions.the-engine-was-swapped') },
  { value: 'double', label: t('machine-actions.its-on-record-twice') },
]
const id = computed(() => props.seen.machine.id)
const today = shopDay(new Date(), props.timeZone)
const fieldsOf = ({ name, tag, plate, serial, meterUnit }: MachineRow) => ({
  ...{ name, tag, plate, serial },
  meterUnit: meterUnit as MachineRow['meterUnit'] | null,
})
const typed = useTypedOver(fieldsOf(props.seen.machine), fieldsOf)
const edit = typed.given
watch(() => props.seen.machine, typed.follow, { immediate: true })
/** As it was read last, where it is the same meter. */
const lastMeter = computed(() => (told.replaced ? null : props.seen.machine.lastMeter))
const customer = ref<Owner | null>(null)
const model = ref<ModelHit | string | null>(null)
const told = reactive({ on: today, meter: '', replaced: false, words: '' })
const into = ref<MachineRow | string | null>(null)
const intoId = computed(() => (typeof into.value === 'object' ? (into.value?.id ?? null) : null))
const said = useSaid()

interface Asked {
  schema: ZodType
  body: unknown
  /** Null where the form says what is wrong. */
  send: () => Promise<MachineRow | null>
}
const asking = <T,>(schema: ZodType, body: T, send: (body: T) => Promise<MachineRow | null>): Asked => ({
  schema,
  body,
  send: () => send(body),
})
/** What was chosen, as it would be sent now. */
const asked = computed((): Asked => {
  const { on, replaced, words } = told
  const modelId = typeof model.value === 'object' ? model.value?.id : null
  switch (what.value) {
    case 'edit':
      return asking(machineEditSchema, edit, body => edits.edit(id.value, { ...body, was: typed.seen() }))
    case 'owner':
      return asking(ownerChangeSchema, { customer: customer.value }, body => edits.owner(id.value, body))
    case 'meter':
      return asking(meterSchema, { on, meter: meterOf(told.meter, lastMeter.value), replaced }, body =>
        edits.meter(id.value, body),
      )
    case 'engine':
      return asking(engineChangeSchema, { on, modelId, words }, body => edits.engine(id.value, body))
    default:
      return asking(mergeSchema, { intoId: intoId.value }, body => edits.merge(id.value, body.intoId))
  }
})
async function submit(): Promise<void> {
  const answer = await asked.value.send()
  if (form.isChangedMeanwhile()) emit('changed')
  if (!answer) return
  said()
  emit('changed', what.value === 'double' ? intoId.value! : undefined)
}
</script>

<template>
  <div class="actions-panel">
    <ChoiceField v-model="what" :label="t('common.what')" :options="WHATS" />
    <PastVisitForm v-if="what === 'visit'" :seen="seen" :unit="unit" @changed="emit('changed')" />
    <CheckedForm
      v-else
      :key="what"
      class="one"
      :form="form"
      :schema="asked.schema"
      :body="() => asked.body"
      @send="submit"
    >
      <template v-if="what === 'edit'">
        <TextField v-model="edit.name" :label="t('common.name')" name="name" /><TextField
          v-model="edit.tag"
          :label="t('common.tag')"
          name="tag"
        /><TextField v-model="edit.plate" :label="t('common.plate')" name="plate" /><TextField
          v-model="edit.serial"
          :label="t('common.serial-number')"
          name="serial"
        />
        <ChoiceField
          v-model="edit.meterUnit"
          :label="t('common.meter-counts')"
          :options="METER_UNITS"
          name="meterUnit"
        />
      </template>
      <template v-else-if="what === 'owner'"
        ><p class="note">{{ t('machine-actions.its-history-stays-with-the') }}</p>
        <OwnerPick v-model="customer" :but-id="seen.machine.customerId" name="customer"
      /></template>
      <template v-else-if="what === 'meter'"
        ><DayField v-model="told.on" :label="t('machine-actions.on')" name="on" /><TextField
          v-model="told.meter"
          :label="t('machine-actions.meter', { meterUnit: seen.machine.meterUnit })"
          inputmode="decimal"
          :wrong="meterEither(told.meter, lastMeter) || undefined"
          name="meter"
        />
        <div class="tick">
          <Checkbox v-model="told.replaced" input-id="meter-replaced" binary /><label for="meter-replaced">{{
            t('common.the-meter-was-replaced-before')
          }}</label>
        </div></template
      >
      <template v-else-if="what === 'engine'"
        ><p class="note">{{ t('machine-actions.drift-starts-over-with-the') }}</p>
        <DayField v-model="told.on" :label="t('machine-actions.put-in-on')" name="on" /><ModelPick
          v-model="model"
          :label="t('machine-actions.engine-model-now')"
          name="modelId" /><TextField v-model="told.words" :label="t('machine-actions.why-in-a-word-or')" name="words"
      /></template>
      <template v-else
        ><p class="note">{{ t('machine-actions.everything-on-record-here-moves') }}</p>
        <MachinePick v-model="into" :label="t('machine-actions.the-one-that-stays')" :but-id="id" name="intoId"
      /></template>
      <p v-if="form.failed.value" class="wrong" role="alert">{{ form.failed.value }}</p>
      <div class="actions">
        <Button
          type="submit"
          :label="what === 'double' ? t('machine-actions.merge-them') : t('common.keep')"
          :loading="form.busy.value"
        />
      </div>
    </CheckedForm>
  </div>
</template>

<style scoped>
.actions-panel,
.one {
  display: grid;
  gap: 14px;
  align-content: start;
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
