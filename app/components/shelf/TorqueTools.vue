<script setup lang="ts">
import Button from 'primevue/button'
import { reactive } from 'vue'
import { scaleWords, TORQUE_UNITS } from '~~/core/torque'
import { newtonMetres, type TorqueUnit } from '~~/core/units'
import type { BodySent, Unfinished } from '~~/shared/api'
import type { AdapterRow, WrenchRow } from '~~/shared/responses'
import type { useForm } from '../../composables/useForm'
import ChoiceField from '../forms/ChoiceField.vue'
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
  keepWrench: [id: number | null, wrench: Unfinished<BodySent<'POST /api/wrenches'>>, done: () => void]
  keepAdapter: [id: number | null, adapter: Unfinished<BodySent<'POST /api/adapters'>>, done: () => void]
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
const wrench = reactive({ ...EMPTY })
const NO_ADAPTER = { id: null as number | null, name: '', length: '', angle: '0' }
const adapter = reactive({ ...NO_ADAPTER })
const number = (text: string): number | null => (text.trim() === '' ? null : Number(text.replace(',', '.')))

function keepWrench(): void {
  const nm = (text: string) => {
    const value = number(text)
    return value === null ? null : newtonMetres(value, wrench.unit ?? 'N·m')
  }
  const body = {
    name: wrench.name,
    unit: wrench.unit,
    leastNm: nm(wrench.least),
    mostNm: nm(wrench.most),
    lengthMm: number(wrench.length),
    calibrationDue: wrench.due.trim() || null,
  }
  emit('keepWrench', wrench.id, body, () => Object.assign(wrench, EMPTY))
}
function keepAdapter(): void {
  const body = { name: adapter.name, lengthMm: number(adapter.length), angleDeg: number(adapter.angle) }
  emit('keepAdapter', adapter.id, body, () => Object.assign(adapter, NO_ADAPTER))
}
const inUnit = (nm: number, unit: TorqueUnit) => String(Number((nm / newtonMetres(1, unit)).toFixed(1)))
const changeWrench = (w: WrenchRow) =>
  Object.assign(wrench, {
    id: w.id,
    name: w.name,
    unit: w.unit,
    least: inUnit(w.leastNm, w.unit),
    most: inUnit(w.mostNm, w.unit),
    length: String(w.lengthMm),
    due: w.calibrationDue ?? '',
  })
const changeAdapter = (a: AdapterRow) =>
  Object.assign(adapter, { id: a.id, name: a.name, length: String(a.lengthMm), angle: String(a.angleDeg) })
const late = (w: WrenchRow) => w.calibrationDue !== null && w.calibrationDue < props.today
const ANGLES: Record<number, string> = { 0: 'straight on', 90: 'square on', 180: 'turned back' }
</script>

<template>
  <h2>Torque wrenches</h2>
  <table class="rows">
    <thead>
      <tr>
        <th>Wrench</th>
        <th>Scale</th>
        <th>Length</th>
        <th>Calibration</th>
        <th v-if="isLead"><span class="hidden-words">Change</span></th>
      </tr>
    </thead>
    <tbody>
      <tr v-for="w in wrenches" :key="w.id" :data-wrench="w.name">
        <td class="figures">{{ w.name }}</td>
        <td>{{ scaleWords(w) }}</td>
        <td>{{ w.lengthMm }} mm</td>
        <td>{{ w.calibrationDue ?? 'no date' }}<b v-if="late(w)" class="late"> was due</b></td>
        <td v-if="isLead">
          <span class="buttons"
            ><button type="button" class="quiet" :aria-label="`Change ${w.name}`" @click="changeWrench(w)">
              Change</button
            ><button
              type="button"
              class="quiet"
              :aria-label="`Remove ${w.name} from the shelf`"
              @click="emit('removeWrench', w.id)"
            >
              Remove
            </button></span
          >
        </td>
      </tr>
    </tbody>
  </table>
  <p v-if="wrenches.length === 0" class="note">
    None yet. With one, the Bench tells you what to set it to, with or without a crow’s-foot.
  </p>
  <form v-if="isLead" class="grid" aria-label="Torque wrench" @submit.prevent="keepWrench">
    <TextField v-model="wrench.name" label="Wrench" placeholder="Small click" :wrong="form.wrong('name')" /><ChoiceField
      v-model="wrench.unit"
      label="Its scale shows"
      :options="TORQUE_UNITS.map(u => ({ value: u, label: u }))"
      :wrong="form.wrong('unit')"
    />
    <TextField
      v-model="wrench.least"
      :label="`From, ${wrench.unit}`"
      inputmode="decimal"
      :wrong="form.wrong('leastNm')"
    /><TextField
      v-model="wrench.most"
      :label="`To, ${wrench.unit}`"
      inputmode="decimal"
      :wrong="form.wrong('mostNm')"
    />
    <TextField
      v-model="wrench.length"
      label="Length, mm"
      inputmode="decimal"
      note="Square drive to the middle of the grip."
      :wrong="form.wrong('lengthMm')"
    /><TextField
      v-model="wrench.due"
      label="Calibration due"
      placeholder="2027-05-01"
      :wrong="form.wrong('calibrationDue')"
    />
    <div class="actions wide">
      <Button type="submit" :label="wrench.id === null ? 'Add the wrench' : 'Save'" :loading="form.busy.value" /><button
        v-if="wrench.id !== null"
        type="button"
        class="quiet"
        @click="Object.assign(wrench, EMPTY)"
      >
        Cancel
      </button>
    </div>
  </form>
  <h2>Adapters</h2>
  <table class="rows">
    <thead>
      <tr>
        <th>Adapter</th>
        <th>Length</th>
        <th>Angle</th>
        <th v-if="isLead"><span class="hidden-words">Change</span></th>
      </tr>
    </thead>
    <tbody>
      <tr v-for="a in adapters" :key="a.id">
        <td class="figures">{{ a.name }}</td>
        <td>{{ a.lengthMm }} mm</td>
        <td>{{ a.angleDeg }}°{{ ANGLES[a.angleDeg] ? `, ${ANGLES[a.angleDeg]}` : '' }}</td>
        <td v-if="isLead">
          <span class="buttons"
            ><button type="button" class="quiet" :aria-label="`Change ${a.name}`" @click="changeAdapter(a)">
              Change</button
            ><button
              type="button"
              class="quiet"
              :aria-label="`Remove ${a.name} from the shelf`"
              @click="emit('removeAdapter', a.id)"
            >
              Remove
            </button></span
          >
        </td>
      </tr>
    </tbody>
  </table>
  <form v-if="isLead" class="grid" aria-label="Adapter" @submit.prevent="keepAdapter">
    <TextField v-model="adapter.name" label="Adapter" placeholder="Crow’s-foot, 10 mm" /><TextField
      v-model="adapter.length"
      label="Its length, mm"
      inputmode="decimal"
      note="Square drive to the middle of the nut."
      :wrong="form.wrong('lengthMm')"
    /><TextField
      v-model="adapter.angle"
      label="Angle, degrees"
      inputmode="decimal"
      note="0 straight on, 90 square, 180 turned back."
      :wrong="form.wrong('angleDeg')"
    />
    <div class="actions wide">
      <Button type="submit" :label="adapter.id === null ? 'Add the adapter' : 'Save'" :loading="form.busy.value" />
    </div>
  </form>
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
