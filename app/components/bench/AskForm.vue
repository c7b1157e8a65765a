<script setup lang="ts">
import Button from 'primevue/button'
import InputText from 'primevue/inputtext'
import Textarea from 'primevue/textarea'
import { computed, nextTick, onMounted, ref, useTemplateRef } from 'vue'
import type { Asks, Happening, Step } from '~~/core/job'
import { EVENTS } from '~~/core/job'
import { parseClock } from '~~/core/adjuster'
import { parseLength } from '~~/core/units'
import ThermometerPart from './ThermometerPart.vue'

/** What a field can ask for; a choice among ways, or going back, is no field. */
export type Field =
  Exclude<Asks, 'school' | 'back' | 'figure' | 'shim-read' | 'shim-size'> | 'hold' | 'abandon' | 'replaced' | 'estimate'
/** One field in place of the keys, for an answer that needs a figure or words. */
const props = defineProps<{
  asks: Field
  step: Step
  gate: { id: string; missing: string } | null
  valveId?: string | null
  unit?: 'mm' | 'thou'
  standIn?: boolean
}>()
const emit = defineEmits<{ done: [happening: Happening]; back: [] }>()

const TITLES: Record<typeof props.asks, string> = {
  'temperature': 'Temperature of the head, °C',
  'hours': 'Hours since it last ran',
  'item-off': 'What did you remove?',
  'item-in': 'What did you put in?',
  'finding': 'What did you find?',
  'reason': 'Why? The sheet shows it',
  'due': 'Next check, as year-month-day',
  'hold': 'Why put it on hold?',
  'abandon': 'Why abandon the job?',
  'note': 'Note for the sheet',
  'replaced': 'What was replaced',
  'slot': 'Where does the slot point? A clock time',
  'estimate': 'Estimate, by eye or ear',
}
const HINTS: Partial<Record<typeof props.asks, string>> = {
  'temperature': '20, or 68 F',
  'hours': '15',
  'due': '2027-05-01',
  'item-in': 'Rag under the cover',
  'slot': '2:30',
  'estimate': '15 thou, or 0.4',
}
const long = computed(() => ['finding', 'reason', 'hold', 'abandon', 'note'].includes(props.asks))
const text = ref('')
const air = ref('')
const wrong = ref('')
const field = useTemplateRef<HTMLElement>('field')
onMounted(() => nextTick(() => field.value?.querySelector<HTMLElement>('input, textarea')?.focus()))

/** A figure typed with point or comma; a trailing F turns Fahrenheit into Celsius. NaN where it is none. */
function figure(typed = text.value): number {
  const match = /^\s*(-?\d+(?:[.,]\d+)?)\s*(?:°?\s*([cf]))?\s*h?\s*$/i.exec(typed)
  if (!match) return Number.NaN
  const value = Number(match[1]!.replace(',', '.'))
  return match[2]?.toLowerCase() === 'f' ? Math.round(((value - 32) * 50) / 9) / 10 : value
}
function happening(): Happening {
  const words = text.value
  switch (props.asks) {
    case 'temperature':
      return {
        type: 'temperature',
        payload: { celsius: figure(), ...(air.value.trim() ? { airC: figure(air.value) } : {}) },
      }
    case 'hours':
      return { type: 'rested', payload: { hours: figure() } }
    case 'item-off':
      return { type: 'came-off', payload: { item: words } }
    case 'item-in':
      return { type: 'put-in', payload: { item: words } }
    case 'finding':
      return { type: 'finding', payload: { text: words, step: props.step } }
    case 'reason':
      return {
        type: 'gate-passed',
        payload: { gate: props.gate?.id ?? '', missing: props.gate?.missing ?? '', reason: words },
      }
    case 'due':
      return { type: 'next-due', payload: { use: null, date: words.trim() } }
    case 'hold':
      return { type: 'held', payload: { reason: words } }
    case 'abandon':
      return { type: 'abandoned', payload: { reason: words } }
    case 'note':
      return { type: 'note', payload: { text: words } }
    case 'replaced':
      return { type: 'replaced', payload: { text: words } }
    case 'slot':
      return { type: 'nut-loosened', payload: { valveId: props.valveId ?? '', slotDeg: parseClock(words) } }
    case 'estimate':
      return {
        type: 'estimate',
        payload: { valveId: props.valveId ?? '', mm: parseLength(words, props.unit ?? 'mm').mm, text: words.trim() },
      }
  }
}
function submit(): void {
  let given: Happening
  try {
    given = happening()
  } catch (error) {
    wrong.value = (error as Error).message
    return
  }
  const parsed = EVENTS[given.type].payload.safeParse(given.payload)
  if (parsed.success) emit('done', { type: given.type, payload: parsed.data } as Happening)
  else
    wrong.value =
      props.asks === 'due'
        ? 'Give the date as year-month-day, such as 2027-05-01.'
        : (parsed.error.issues[0]?.message ?? 'That isn’t valid. Check the unit and type it again.')
}
</script>

<template>
  <form ref="field" class="ask" @submit.prevent="submit" @keydown.esc="emit('back')">
    <label for="ask-field">{{ TITLES[asks] }}</label>
    <p v-if="asks === 'estimate'" class="note">It’s kept as an estimate and proves nothing.</p>
    <p v-if="asks === 'reason' && gate" class="note">{{ gate.missing }} The sheet shows the reason.</p>
    <Textarea
      v-if="long"
      id="ask-field"
      v-model="text"
      rows="3"
      auto-resize
      :invalid="!!wrong"
      :aria-describedby="wrong ? 'ask-wrong' : undefined"
    />
    <InputText
      v-else
      id="ask-field"
      v-model="text"
      :placeholder="HINTS[asks]"
      :invalid="!!wrong"
      autocomplete="off"
      :aria-describedby="wrong ? 'ask-wrong' : undefined"
    />
    <ThermometerPart
      v-if="asks === 'temperature'"
      v-model:air="air"
      :stand-in="standIn ?? false"
      @read="text = String($event)"
    />
    <p v-if="wrong" id="ask-wrong" class="wrong" role="alert">{{ wrong }}</p>
    <div class="actions">
      <Button type="submit" label="Record" />
      <button type="button" class="quiet" @click="emit('back')">Back <kbd>Esc</kbd></button>
    </div>
  </form>
</template>

<style scoped>
.ask {
  display: grid;
  gap: 10px;
  align-content: start;
}
label {
  font-size: 18px;
}
.note {
  font-size: 15px;
  color: var(--ink2);
}
input,
textarea {
  font-size: 20px;
  width: 100%;
}
</style>
