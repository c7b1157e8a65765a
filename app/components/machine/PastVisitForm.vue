<script setup lang="ts">
import Button from 'primevue/button'
import Checkbox from 'primevue/checkbox'
import { reactive } from 'vue'
import { parseLength } from '~~/core/units'
import type { BodySent } from '~~/shared/api'
import { type MachineResponse, pastVisitSchema } from '~~/shared/machines'
import { useMachineEdits } from '../../composables/useMachineEdits'
import { useSaid } from '../../composables/useSaid'
import { wordsFor } from '../../utils/errors'
import { named, t } from '../../words'
import CheckedForm from '../forms/CheckedForm.vue'
import DayField from '../forms/DayField.vue'
import TextField from '../forms/TextField.vue'
import { meterEither, meterOf } from './meter-field'

/**
 * A visit that stands on paper: the day, the meter, and of each valve what was found and left, as far as the paper
 * says.
 */
const props = defineProps<{ seen: MachineResponse; unit: 'mm' | 'thou' }>()
const emit = defineEmits<{ changed: [] }>()
const { form, pastVisit } = useMachineEdits()
const given = reactive({ on: '', meter: '', replaced: false, words: '' })
const valves = reactive(Object.fromEntries(props.seen.valves.map(v => [v.valveId, { found: '', left: '', wrong: '' }])))
const said = useSaid()

/**
 * “0.10–0.12”, or one figure with a thousandth of an inch about it: paper gives no more than the blade that dragged.
 */
const HALF_MM = 0.0127
function intervalOf(typed: string): { loMm: number; hiMm: number } | null {
  if (typed.trim() === '') return null
  const parts = typed.split(/\s*[–—]\s*|\s+-\s+|(?<=\d)-(?=\d)/)
  const [lo, hi] = parts.map(p => parseLength(p, props.unit).mm)
  if (parts.length > 2 || lo === undefined) throw new Error(t('past-visit-form.give-one-figure-or-two'))
  return hi === undefined ? { loMm: Math.max(0, lo - HALF_MM), hiMm: lo + HALF_MM } : { loMm: lo, hiMm: hi }
}
/** Checked as it is typed; the valves are read when the form is sent. */
const headSchema = pastVisitSchema.omit({ valves: true })
const body = () => ({ ...given, meter: meterOf(given.meter, null) })
async function submit(): Promise<void> {
  const read: BodySent<'POST /api/machines/:id/visits'>['valves'] = {}
  let wrong = false
  for (const [id, v] of Object.entries(valves)) {
    v.wrong = ''
    try {
      read[id] = {
        foundMm: intervalOf(v.found),
        leftMm: intervalOf(v.left || v.found),
        touched: v.left.trim() !== '' && v.left.trim() !== v.found.trim(),
      }
    } catch (error) {
      v.wrong = wordsFor(error)
      wrong = true
    }
  }
  if (wrong) return
  const answer = await pastVisit(props.seen.machine.id, { ...body(), valves: read })
  if (!answer) return
  said(t('past-visit-form.saved-in-the-log-by'))
  emit('changed')
}
</script>

<template>
  <CheckedForm class="past" :form="form" :schema="headSchema" :body="body" @send="submit">
    <div class="pair">
      <DayField v-model="given.on" :label="t('past-visit-form.day')" name="on" /><TextField
        v-model="given.meter"
        :label="t('past-visit-form.meter', { meterUnit: seen.machine.meterUnit })"
        inputmode="decimal"
        :note="t('past-visit-form.empty-not-read')"
        :wrong="meterEither(given.meter, null) || undefined"
        name="meter"
      />
    </div>
    <div v-if="form.refusal.value?.problem.code === 'meter-lower'" class="tick">
      <Checkbox v-model="given.replaced" input-id="past-replaced" binary /><label for="past-replaced">{{
        t('common.the-meter-was-replaced-before')
      }}</label>
    </div>
    <p class="note">{{ t('past-visit-form.two-figures-with-a-dash') }}</p>
    <fieldset v-for="v in seen.valves" :key="v.valveId">
      <legend>{{ named(v.name) }}</legend>
      <div class="pair">
        <TextField
          v-model="valves[v.valveId]!.found"
          :label="t('past-visit-form.found')"
          placeholder="0.10–0.12"
          :wrong="valves[v.valveId]!.wrong || form.wrong(`valves.${v.valveId}`)"
        /><TextField
          v-model="valves[v.valveId]!.left"
          :label="t('past-visit-form.left')"
          :placeholder="t('common.as-found-within')"
        />
      </div>
    </fieldset>
    <TextField v-model="given.words" :label="t('past-visit-form.what-else-the-paper-says')" name="words" />
    <p v-if="form.failed.value" class="wrong" role="alert">{{ form.failed.value }}</p>
    <div class="actions">
      <Button type="submit" :label="t('past-visit-form.save-the-visit')" :loading="form.busy.value" />
    </div>
  </CheckedForm>
</template>

<style scoped>
.past {
  display: grid;
  gap: 12px;
}
.pair {
  display: grid;
  grid-template-columns: 1fr 1fr;
  gap: 12px;
}
fieldset {
  border: 0;
  border-top: 1px solid var(--line);
  margin: 0;
  padding: 8px 0 0;
}
legend {
  font-size: 17px;
  padding: 0 8px 0 0;
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
