<script setup lang="ts">
import { zones } from '../../utils/zones'
import { t } from '../../words'
import ChoiceField from './ChoiceField.vue'

/** The clock that a shop goes by, and the unit that stands first. */
defineProps<{ here: string; unitNote: string }>()
const timeZone = defineModel<string | null>('timeZone', { required: true })
const unit = defineModel<'mm' | 'thou' | null>('unit', { required: true })
</script>

<template>
  <ChoiceField
    v-model="timeZone"
    :label="t('page-setup.time-zone')"
    :options="zones(here)"
    filter
    :note="t('page-setup.says-when-your-day-begins')"
    name="timeZone"
  />
  <ChoiceField
    v-model="unit"
    :label="t('page-setup.unit-shown-first')"
    :options="[
      { value: 'mm', label: 'mm' },
      { value: 'thou', label: 'thou' },
    ]"
    :note="unitNote"
    name="unit"
  />
</template>
