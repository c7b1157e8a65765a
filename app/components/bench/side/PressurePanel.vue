<script setup lang="ts">
import Button from 'primevue/button'
import InputText from 'primevue/inputtext'
import SelectButton from 'primevue/selectbutton'
import { computed, reactive, ref } from 'vue'
import { fromKPa, isCompression, PRESSURE_UNITS, type PressureUnit, toKPa } from '~~/core/complaint'
import { EVENTS, type Happening, type JobView } from '~~/core/job'
import { numberOf } from '~~/core/units'
import { wordsFor } from '../../../utils/errors'
import { named, t } from '../../../words'
import BackButton from './BackButton.vue'
/** Compression or leak-down of a cylinder, before the valves are touched or after, with how it was taken. */
const props = defineProps<{ view: JobView }>()
const emit = defineEmits<{ record: [happening: Happening]; back: [] }>()
/** As it was read last on this job; else as the gauges of a shop that works in thou read. Common practice. */
function usualUnit({ pin, state }: JobView): PressureUnit {
  const last = state.pressures.findLast(read => read.kind === 'compression')
  return last?.kind === 'compression' ? last.unit : pin.unit === 'thou' ? 'psi' : 'kPa'
}
const cylinders = computed(() => props.view.pin.spec.engine.cylinders)
const read = reactive({
  kind: 'compression' as 'compression' | 'leak-down',
  when: (props.view.state.valves.some(v => v.round > 0) ? 'after' : 'before') as 'before' | 'after',
  unit: usualUnit(props.view),
  throttle: 'open' as 'open' | 'shut',
  engine: 'cold' as 'cold' | 'warm',
  cylinderId: cylinders.value[0]?.id ?? null,
})
const value = ref('')
const wrong = ref('')
const choice = <T extends string>(values: readonly T[], words: (value: T) => string) =>
  values.map(v => ({ value: v, label: words(v) }))
const KINDS = choice(['compression', 'leak-down'] as const, kind => t('pressure-panel.kind', { kind }))
const WHENS = choice(['before', 'after'] as const, when => t('pressure-panel.when', { when }))
const UNITS = choice(PRESSURE_UNITS, unit => unit)
const THROTTLES = choice(['open', 'shut'] as const, throttle => t('pressure-panel.throttle', { throttle }))
const WARMTH = choice(['cold', 'warm'] as const, engine => t('pressure-panel.engine', { engine }))
const byCylinder = computed(() => cylinders.value.map(c => ({ value: c.id, label: named(c.name) })))
/** “1,034” is a thousand and more in kPa, and no pressure of one. */
const figureOf = () =>
  numberOf(value.value, v => (read.kind === 'compression' ? isCompression(v, read.unit) : v <= 100))
/** The same in the other units, as soon as it is a figure. */
const others = computed(() => {
  const figure = figureOf()
  if (read.kind !== 'compression' || figure === null || !(figure > 0)) return ''
  const kPa = toKPa(figure, read.unit)
  return PRESSURE_UNITS.filter(u => u !== read.unit)
    .map(u => `${Number(fromKPa(kPa, u).toPrecision(3))} ${u}`)
    .join(' · ')
})

function submit(): void {
  const { unit, throttle, ...both } = read
  const parsed = EVENTS.pressure.payload.safeParse({
    ...both,
    value: figureOf() ?? Number.NaN,
    ...(read.kind === 'compression' ? { unit, throttle } : {}),
  })
  if (parsed.success) emit('record', { type: 'pressure', payload: parsed.data })
  else wrong.value = wordsFor(parsed.error)
}
</script>

<template>
  <form class="pressure" @submit.prevent="submit" @keydown.esc="emit('back')">
    <h2>{{ t('side-panels.compression-or-leak-down') }}</h2>
    <SelectButton v-model="read.kind" :options="KINDS" option-label="label" option-value="value" :allow-empty="false" />
    <SelectButton v-model="read.when" :options="WHENS" option-label="label" option-value="value" :allow-empty="false" />
    <SelectButton
      v-if="cylinders.length > 1"
      v-model="read.cylinderId"
      :options="byCylinder"
      option-label="label"
      option-value="value"
      :allow-empty="false"
    />
    <div class="figure">
      <label for="pressure">{{ t('pressure-panel.reading') }}</label><InputText
        id="pressure"
        v-model="value"
        inputmode="decimal"
        autocomplete="off"
        :invalid="!!wrong"
        :aria-describedby="wrong ? 'pressure-wrong' : undefined"
      /><SelectButton
        v-if="read.kind === 'compression'"
        v-model="read.unit"
        :options="UNITS"
        option-label="label"
        option-value="value"
        :allow-empty="false"
      /><span v-else>%</span>
    </div>
    <p v-if="others" class="note">{{ others }}</p>
    <p v-if="wrong" id="pressure-wrong" class="wrong" role="alert">{{ wrong }}</p>
    <SelectButton
      v-if="read.kind === 'compression'"
      v-model="read.throttle"
      :options="THROTTLES"
      option-label="label"
      option-value="value"
      :allow-empty="false"
    />
    <SelectButton
      v-model="read.engine"
      :options="WARMTH"
      option-label="label"
      option-value="value"
      :allow-empty="false"
    />
    <p class="note">{{ t('pressure-panel.why') }}</p>
    <div class="actions">
      <Button type="submit" :label="t('common.record')" />
      <BackButton @back="emit('back')" />
    </div>
  </form>
</template>

<style scoped>
.pressure {
  display: grid;
  gap: 10px;
  align-content: start;
}
h2 {
  font-size: 26px;
}
.figure {
  display: flex;
  flex-wrap: wrap;
  gap: 8px;
  align-items: center;
}
.figure input {
  font-size: 22px;
  width: 110px;
}
.note {
  font-size: 15px;
  color: var(--ink2);
}
</style>
