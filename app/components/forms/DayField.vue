<script setup lang="ts">
import { format, isValid, parseISO } from 'date-fns'
import { usePrimeVue } from 'primevue/config'
import DatePicker from 'primevue/datepicker'
import { nextTick, ref, useId, useTemplateRef, watch } from 'vue'
import { readDay } from '~~/core/exchange/days'
import { LANGUAGE } from '../../language'
import { calendarNames } from '../../utils/part-words'
import { useField } from './useField'

/**
 * A day as year-month-day: chosen in a calendar, or typed as people write one. What cannot be read stays as it was
 * typed and is said to be wrong by the form.
 */
const told = defineProps<{
  label: string
  note?: string
  wrong?: string
  /** Its path in what the form around it sends. */
  name?: string
}>()
const day = defineModel<string>({ required: true })
const id = useId()
Object.assign(usePrimeVue().config.locale!, calendarNames())
const { wrong, leave } = useField(told)

const dateOf = (text: string): Date | null => {
  const parsed = parseISO(text)
  return isValid(parsed) ? parsed : null
}
/** What the calendar shows: the last that could be read, for it would empty its field at the first letter. */
const shown = ref<Date | null>(dateOf(day.value))
watch(day, text => {
  const date = dateOf(text)
  if (date || text === '') shown.value = date
})
const chosen = (date: unknown) => {
  if (date instanceof Date && isValid(date)) day.value = format(date, 'yyyy-MM-dd')
}

/** The day that was typed: of 5/1 the month comes first in English, and the day in Spanish. */
function typedDay(text: string): string | null {
  const read = readDay(text)
  const order = LANGUAGE === 'es' ? 'day-first' : 'month-first'
  return (read.find(r => r.order === order) ?? read[0])?.iso ?? null
}
const typed = (text: string) => {
  // a year of two figures may still become one of four
  day.value = (/\d{4}/.test(text) ? typedDay(text) : null) ?? text.trim()
}
const field = useTemplateRef<HTMLElement>('field')
async function left(): Promise<void> {
  const asTyped = day.value
  day.value = typedDay(asTyped) ?? asTyped
  leave()
  await nextTick()
  // the calendar empties its field of what it cannot read
  const input = field.value?.querySelector('input')
  if (input && !dateOf(day.value)) input.value = day.value
}
</script>

<template>
  <div ref="field" class="field">
    <label :for="id">{{ label }}</label>
    <DatePicker
      :model-value="shown"
      :input-id="id"
      date-format="yy-mm-dd"
      placeholder="2026-11-29"
      show-icon
      icon-display="button"
      :invalid="!!wrong"
      :aria-describedby="wrong || note ? `${id}-more` : undefined"
      @update:model-value="chosen"
      @input="typed(($event.target as HTMLInputElement).value)"
      @blur="left"
      @hide="leave"
    />
    <p v-if="wrong" :id="`${id}-more`" class="wrong" role="alert">{{ wrong }}</p>
    <p v-else-if="note" :id="`${id}-more`" class="note">{{ note }}</p>
  </div>
</template>
