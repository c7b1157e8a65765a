<script setup lang="ts">
import { useLocalStorage } from '@vueuse/core'
import Button from 'primevue/button'
import InputText from 'primevue/inputtext'
import Textarea from 'primevue/textarea'
import { computed, nextTick, onMounted, ref, useTemplateRef } from 'vue'
import { parseClock } from '~~/core/adjuster'
import type { Happening, Requirement, Step } from '~~/core/job'
import { EVENTS } from '~~/core/job'
import { parseLength } from '~~/core/units'
import type { Field } from '../../../bench/panel'
import { wordsFor } from '../../../utils/errors'
import { t, tell } from '../../../words'
import BackButton from './BackButton.vue'
import ThermometerPart from './ThermometerPart.vue'

/** One field in place of the keys, for an answer that needs a figure or words. */
const props = defineProps<{
  asks: Field
  step: Step
  gate: Pick<Requirement, 'id' | 'missing'> | null
  valveId?: string | null
  unit?: 'mm' | 'thou'
  standIn?: boolean
  /** The plug that is asked about, and what it is set to. */
  plug?: { told: { item?: string }; setMm: number } | null
}>()
const emit = defineEmits<{ done: [happening: Happening]; back: [] }>()

const TITLES: Partial<Record<Field, string>> = {
  'temperature': t('ask-form.temperature-of-the-head-c'),
  'hours': t('ask-form.hours-since-it-last-ran'),
  'item-off': t('ask-form.what-did-you-remove'),
  'item-in': t('ask-form.what-did-you-put-in'),
  'reason': t('ask-form.why-the-sheet-shows-it'),
  'hold': t('ask-form.why-put-it-on-hold'),
  'abandon': t('ask-form.why-abandon-the-job'),
  'note': t('ask-form.note-for-the-sheet'),
  'slot': t('ask-form.where-does-the-slot-point'),
  'estimate': t('ask-form.estimate-by-eye-or-ear'),
  'count': t('ask-form.how-many-locknuts'),
  'plug-gap': t('ask-form.gap-found'),
}
const HINTS: Partial<Record<typeof props.asks, string>> = {
  'temperature': '20, or 68 F',
  'hours': '15',
  'plug-gap': '0.85 mm',
  'item-in': t('ask-form.rag-under-the-cover'),
  'slot': '2:30',
  'estimate': t('ask-form.estimate-hint'),
}
const long = computed(() => ['reason', 'hold', 'abandon', 'note'].includes(props.asks))
const text = ref('')
const air = ref('')
const wrong = ref('')
/** Reasons that were given on this device last, the newest first: one of them is given again by a tap. */
const MOST_REASONS = 4
const reasons = useLocalStorage<string[]>('wembric-reasons', [])
const recent = computed(() => (props.asks === 'reason' ? reasons.value.slice(0, MOST_REASONS) : []))
function again(reason: string): void {
  text.value = reason
  submit()
}
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
    case 'count':
      return { type: 'nuts-checked', payload: { count: figure() } }
    case 'plug-gap':
      return {
        type: 'plug-gap',
        payload: { ...props.plug?.told, was: 'set', foundMm: parseLength(words).mm, leftMm: props.plug?.setMm },
      }
    case 'reason':
      return {
        type: 'gate-passed',
        payload: { gate: props.gate?.id ?? '', missing: props.gate?.missing ?? '', reason: words },
      }
    case 'hold':
      return { type: 'held', payload: { reason: words } }
    case 'abandon':
      return { type: 'abandoned', payload: { reason: words } }
    case 'note':
      return { type: 'note', payload: { text: words } }
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
    wrong.value = wordsFor(error)
    return
  }
  const parsed = EVENTS[given.type].payload.safeParse(given.payload)
  if (parsed.success && given.type === 'gate-passed')
    reasons.value = [text.value.trim(), ...reasons.value.filter(r => r !== text.value.trim())].slice(0, MOST_REASONS)
  if (parsed.success) emit('done', { type: given.type, payload: parsed.data } as Happening)
  else wrong.value = wordsFor(parsed.error)
}
</script>

<template>
  <form ref="field" class="ask" @submit.prevent="submit" @keydown.esc="emit('back')">
    <label for="ask-field">{{ TITLES[asks] }}</label>
    <p v-if="asks === 'estimate'" class="note">{{ t('ask-form.its-kept-as-an-estimate') }}</p>
    <p v-if="asks === 'reason' && gate" class="note">
      {{ t('ask-form.the-sheet-shows-the-reason', { missing: tell(gate.missing) }) }}
    </p>
    <div v-if="recent.length" class="recent" role="group" :aria-label="t('ask-form.given-lately')">
      <Button v-for="r in recent" :key="r" severity="secondary" outlined :label="r" @click="again(r)" />
    </div>
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
      <Button type="submit" :label="t('common.record')" />
      <BackButton @back="emit('back')" />
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
.recent {
  display: grid;
  gap: 8px;
}
.recent > * {
  justify-content: flex-start;
  text-align: left;
}
input,
textarea {
  font-size: 20px;
  width: 100%;
}
</style>
