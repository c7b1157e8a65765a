<script setup lang="ts">
import Button from 'primevue/button'
import Column from 'primevue/column'
import DataTable from 'primevue/datatable'
import { useTemplateRef, watch } from 'vue'
import { scaleWords, TORQUE_UNITS } from '~~/core/torque'
import { newtonMetres, numberOf, type TorqueUnit } from '~~/core/units'
import type { BodySent, Unfinished } from '~~/shared/api'
import { adapterRequestSchema, type AdapterRow, wrenchRequestSchema, type WrenchRow } from '~~/shared/shelf'
import type { useForm } from '../../composables/useForm'
import { useTypedOver } from '../../composables/useTypedOver'
import { t } from '../../words'
import CheckedForm from '../forms/CheckedForm.vue'
import ChoiceField from '../forms/ChoiceField.vue'
import DayField from '../forms/DayField.vue'
import EndButton from '../forms/EndButton.vue'
import TextField from '../forms/TextField.vue'

/** Torque wrenches with range, length and calibration; adapters with length and angle. A lead adds and changes them. */
const props = defineProps<{
  wrenches: WrenchRow[]
  adapters: AdapterRow[]
  isLead: boolean
  today: string
  form: ReturnType<typeof useForm>
}>()
const emit = defineEmits<{
  keepWrench: [id: number | null, wrench: Unfinished<BodySent<'PUT /api/wrenches/:id'>>, done: () => void]
  keepAdapter: [id: number | null, adapter: Unfinished<BodySent<'PUT /api/adapters/:id'>>, done: () => void]
  removeWrench: [id: number]
  removeAdapter: [id: number]
}>()
const EMPTY = {
  id: null as number | null,
  name: '',
  unit: 'N·m' as TorqueUnit | null,
  least: '',
  most: '',
  length: '',
  due: '',
}
const inUnit = (nm: number, unit: TorqueUnit) => String(Number((nm / newtonMetres(1, unit)).toFixed(1)))
const typedWrench = useTypedOver(EMPTY, (w: WrenchRow) => ({
  ...{ id: w.id as number | null, name: w.name, unit: w.unit as TorqueUnit | null },
  ...{ least: inUnit(w.leastNm, w.unit), most: inUnit(w.mostNm, w.unit) },
  ...{ length: String(w.lengthMm), due: w.calibrationDue ?? '' },
}))
const wrench = typedWrench.given
const NO_ADAPTER = { id: null as number | null, name: '', length: '', angle: '0' }
const typedAdapter = useTypedOver(NO_ADAPTER, (a: AdapterRow) => ({
  ...{ id: a.id as number | null, name: a.name, length: String(a.lengthMm), angle: String(a.angleDeg) },
}))
const adapter = typedAdapter.given
/** One that is being changed follows the shelf. */
function followShelf<R extends { id: number }>(typed: ReturnType<typeof useTypedOver<R, object>>, rows: R[]): void {
  const now = rows.find(row => row.id === typed.was.value?.id)
  if (now) typed.follow(now)
}
watch(
  () => props.wrenches,
  rows => followShelf(typedWrench, rows),
)
watch(
  () => props.adapters,
  rows => followShelf(typedAdapter, rows),
)
const number = numberOf
/** In any unit: 2.825 N·m are no 2825. */
const MOST_ON_A_SCALE = 1000

const wrenchForm = useTemplateRef('wrenchForm')
const adapterForm = useTemplateRef('adapterForm')
function wrenchBody() {
  const nm = (text: string) => {
    const value = numberOf(text, figure => figure <= MOST_ON_A_SCALE)
    return value === null ? null : newtonMetres(value, wrench.unit ?? 'N·m')
  }
  return {
    name: wrench.name,
    unit: wrench.unit,
    leastNm: nm(wrench.least),
    mostNm: nm(wrench.most),
    lengthMm: number(wrench.length),
    calibrationDue: wrench.due.trim() || null,
  }
}
const clearWrench = () => {
  typedWrench.clear()
  wrenchForm.value?.forget()
}
const keepWrench = () => emit('keepWrench', wrench.id, { ...wrenchBody(), was: typedWrench.seen() }, clearWrench)
const adapterBody = () => ({
  name: adapter.name,
  lengthMm: number(adapter.length),
  angleDeg: number(adapter.angle),
})
const keepAdapter = () =>
  emit('keepAdapter', adapter.id, { ...adapterBody(), was: typedAdapter.seen() }, () => {
    typedAdapter.clear()
    adapterForm.value?.forget()
  })
const late = (w: WrenchRow) => w.calibrationDue !== null && w.calibrationDue < props.today
const ANGLES: Record<number, string> = {
  0: t('torque-tools.straight-on'),
  90: t('torque-tools.square-on'),
  180: t('torque-tools.turned-back'),
}
</script>

<template>
  <h2>{{ t('torque-tools.torque-wrenches') }}</h2>
  <DataTable v-if="wrenches.length" class="few" :value="wrenches" data-key="id">
    <Column field="name" sortable :header="t('torque-tools.wrench')" body-class="figures" />
    <Column :header="t('torque-tools.scale')">
      <template #body="{ data }: { data: WrenchRow }">{{ scaleWords(data) }}</template>
    </Column>
    <Column field="lengthMm" sortable :header="t('torque-tools.length')">
      <template #body="{ data }: { data: WrenchRow }">{{ data.lengthMm }} mm</template>
    </Column>
    <Column field="calibrationDue" sortable :header="t('torque-tools.calibration')">
      <template #body="{ data }: { data: WrenchRow }">
        {{ data.calibrationDue ?? t('torque-tools.no-date') }}
        <b v-if="late(data)" class="late">{{ t('torque-tools.was-due') }}</b>
      </template>
    </Column>
    <Column v-if="isLead">
      <template #header
        ><span class="hidden-words">{{ t('common.change') }}</span></template
      >
      <template #body="{ data }: { data: WrenchRow }">
        <span class="buttons"
          ><Button
            severity="secondary"
            outlined
            :aria-label="t('torque-tools.change-2', { name: data.name })"
            @click="typedWrench.begin(data)"
          >
            {{ t('common.change') }}</Button
          ><EndButton
            :label="t('common.remove')"
            :ask="t('torque-tools.jobs-keep-it', { name: data.name })"
            :aria-label="t('torque-tools.remove-from-the-shelf', { name: data.name })"
            @end="emit('removeWrench', data.id)"
        /></span>
      </template>
    </Column>
  </DataTable>
  <p v-if="wrenches.length === 0" class="note">
    {{ t('torque-tools.none-yet-with-one-the') }}
  </p>
  <CheckedForm
    v-if="isLead"
    ref="wrenchForm"
    class="grid"
    :aria-label="t('common.torque-wrench')"
    :form="form"
    :schema="wrenchRequestSchema"
    :body="wrenchBody"
    @send="keepWrench"
  >
    <TextField
      v-model="wrench.name"
      :label="t('torque-tools.wrench')"
      :placeholder="t('torque-tools.small-click')"
      name="name"
    /><ChoiceField
      v-model="wrench.unit"
      :label="t('torque-tools.its-scale-shows')"
      :options="TORQUE_UNITS.map(u => ({ value: u, label: u }))"
      name="unit"
    />
    <TextField
      v-model="wrench.least"
      :label="t('torque-tools.from', { unit: wrench.unit ?? '' })"
      inputmode="decimal"
      name="leastNm"
    /><TextField
      v-model="wrench.most"
      :label="t('torque-tools.to', { unit: wrench.unit ?? '' })"
      inputmode="decimal"
      name="mostNm"
    />
    <TextField
      v-model="wrench.length"
      :label="t('torque-tools.length-mm')"
      inputmode="decimal"
      :note="t('torque-tools.square-drive-to-the-middle')"
      name="lengthMm"
    /><DayField v-model="wrench.due" :label="t('torque-tools.calibration-due')" name="calibrationDue" />
    <div class="actions wide">
      <Button
        type="submit"
        :label="wrench.id === null ? t('torque-tools.add-the-wrench') : t('common.save')"
        :loading="form.busy.value"
      /><Button v-if="wrench.id !== null" severity="secondary" outlined @click="clearWrench">
        {{ t('common.cancel') }}
      </Button>
    </div>
  </CheckedForm>
  <h2>{{ t('torque-tools.adapters') }}</h2>
  <DataTable v-if="adapters.length" class="few" :value="adapters" data-key="id">
    <Column field="name" sortable :header="t('common.adapter')" body-class="figures" />
    <Column field="lengthMm" sortable :header="t('torque-tools.length')">
      <template #body="{ data }: { data: AdapterRow }">{{ data.lengthMm }} mm</template>
    </Column>
    <Column field="angleDeg" sortable :header="t('torque-tools.angle')">
      <template #body="{ data }: { data: AdapterRow }"
        >{{ data.angleDeg }}°{{ ANGLES[data.angleDeg] ? `, ${ANGLES[data.angleDeg]}` : '' }}</template
      >
    </Column>
    <Column v-if="isLead">
      <template #header
        ><span class="hidden-words">{{ t('common.change') }}</span></template
      >
      <template #body="{ data }: { data: AdapterRow }">
        <span class="buttons"
          ><Button
            severity="secondary"
            outlined
            :aria-label="t('torque-tools.change-2', { name: data.name })"
            @click="typedAdapter.begin(data)"
          >
            {{ t('common.change') }}</Button
          ><EndButton
            :label="t('common.remove')"
            :ask="t('torque-tools.jobs-keep-it', { name: data.name })"
            :aria-label="t('torque-tools.remove-from-the-shelf', { name: data.name })"
            @end="emit('removeAdapter', data.id)"
        /></span>
      </template>
    </Column>
  </DataTable>
  <CheckedForm
    v-if="isLead"
    ref="adapterForm"
    class="grid"
    :aria-label="t('common.adapter')"
    :form="form"
    :schema="adapterRequestSchema"
    :body="adapterBody"
    @send="keepAdapter"
  >
    <TextField
      v-model="adapter.name"
      :label="t('common.adapter')"
      :placeholder="t('torque-tools.crows-foot-10-mm')"
    /><TextField
      v-model="adapter.length"
      :label="t('torque-tools.its-length-mm')"
      inputmode="decimal"
      :note="t('torque-tools.square-drive-to-the-middle-2')"
      name="lengthMm"
    /><TextField
      v-model="adapter.angle"
      :label="t('torque-tools.angle-degrees')"
      inputmode="decimal"
      :note="t('torque-tools.0-straight-on-90-square')"
      name="angleDeg"
    />
    <div class="actions wide">
      <Button
        type="submit"
        :label="adapter.id === null ? t('torque-tools.add-the-adapter') : t('common.save')"
        :loading="form.busy.value"
      />
    </div>
  </CheckedForm>
</template>

<style scoped>
.late {
  color: var(--loose);
}
.buttons {
  display: flex;
  gap: 6px;
  justify-content: flex-end;
}
.note {
  color: var(--ink2);
  font-size: 15px;
}
</style>
