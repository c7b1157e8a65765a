<script setup lang="ts">
import Button from 'primevue/button'
import { computed, defineAsyncComponent, ref, watch } from 'vue'
import type { Happening } from '~~/core/job'
import { EVENTS } from '~~/core/job'
import { say } from '~~/core/said'
import { dayLong, monthsFrom } from '../../../utils/day-and-time'
import { t, tell } from '../../../words'
import BackButton from './BackButton.vue'
/** When the next check is due, where the spec does not say: after so many months by one tap, or on a day. */
const props = defineProps<{ nowMs: number }>()
const emit = defineEmits<{ done: [happening: Happening]; back: [] }>()
// the calendar is as large as all panels together, and wanted seldom
const DayField = defineAsyncComponent(() => import('../../forms/DayField.vue'))

const MONTHS = [1, 3, 6, 12] as const
const choices = computed(() => MONTHS.map(months => ({ months, day: monthsFrom(props.nowMs, months) })))
const own = ref('')
const wrong = ref('')
watch(own, () => (wrong.value = ''))
function record(date: string): void {
  // a slip of the year would print a check that was due before the job was signed
  if (/^\d{4}-\d\d-\d\d$/.test(date) && date <= monthsFrom(props.nowMs, 0)) {
    wrong.value = t('due-panel.is-past', { day: dayLong(date) })
    return
  }
  const payload = EVENTS['next-due'].payload.safeParse({ use: null, date })
  if (payload.success) emit('done', { type: 'next-due', payload: payload.data })
  else wrong.value = t('due-panel.choose-or-type')
}
</script>

<template>
  <form class="side due" @submit.prevent="record(own.trim())" @keydown.esc="emit('back')">
    <h2>{{ tell(say('due.label')) }}</h2>
    <button v-for="c in choices" :key="c.months" type="button" class="key pick" @click="record(c.day)">
      <b>{{ t('due-panel.in-months', { months: c.months }) }}</b><span>{{ dayLong(c.day) }}</span>
    </button>
    <DayField v-model="own" :label="t('due-panel.or-on')" :wrong="wrong || undefined" />
    <div class="actions">
      <Button type="submit" :label="t('common.record')" />
      <BackButton @back="emit('back')" />
    </div>
  </form>
</template>

<style scoped>
.due {
  display: grid;
  gap: 10px;
  align-content: start;
}
h2 {
  font-size: 24px;
}
</style>
