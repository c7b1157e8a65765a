<script setup lang="ts">
import { format, isValid, parseISO } from 'date-fns'
import { usePrimeVue } from 'primevue/config'
import DatePicker from 'primevue/datepicker'
import { computed, useId } from 'vue'
import { calendarNames } from '../../utils/part-words'
import { useField } from './useField'

/** A day as year-month-day: typed, or chosen in a calendar. */
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
const date = computed({
  get: () => {
    const parsed = parseISO(day.value)
    return isValid(parsed) ? parsed : null
  },
  set: chosen => {
    day.value = chosen instanceof Date && isValid(chosen) ? format(chosen, 'yyyy-MM-dd') : ''
  },
})
</script>

<template>
  <div class="field">
    <label :for="id">{{ label }}</label>
    <DatePicker
      v-model="date"
      :input-id="id"
      date-format="yy-mm-dd"
      placeholder="2026-11-29"
      show-icon
      icon-display="button"
      :invalid="!!wrong"
      :aria-describedby="wrong || note ? `${id}-more` : undefined"
      @blur="leave"
      @hide="leave"
    />
    <p v-if="wrong" :id="`${id}-more`" class="wrong" role="alert">{{ wrong }}</p>
    <p v-else-if="note" :id="`${id}-more`" class="note">{{ note }}</p>
  </div>
</template>
