<script setup lang="ts">
import type { SpecField, SpecText } from '~~/core/spec-book'
import { t } from '../../../words'
import ChoiceField from '../../forms/ChoiceField.vue'
import TextField from '../../forms/TextField.vue'
import { same } from './options'

/** What must be known of an engine: both clearances, and where they are from. */
const spec = defineModel<SpecText>('spec', { required: true })
defineProps<{ odd: (field: SpecField) => string | undefined }>()
</script>

<template>
  <div class="grid">
    <TextField
      v-model="spec.intake"
      :label="t('common.intake')"
      :note="t('spec-fields.limits-figure-tolerance-or-one')"
      :odd="odd('intake')"
      name="intake"
    /><TextField v-model="spec.exhaust" :label="t('common.exhaust')" :odd="odd('exhaust')" name="exhaust" /><ChoiceField
      v-model="spec.unit"
      :label="t('spec-fields.printed-in')"
      :options="same('mm', 'thou', 'in')"
      name="unit"
    />
    <TextField
      v-model="spec.source"
      :label="t('common.source')"
      :note="t('spec-fields.manual-printing-and-page')"
      name="source"
    /><TextField
      v-model="spec.sourceDate"
      :label="t('spec-fields.sources-date')"
      :note="t('spec-fields.the-day-it-was-printed')"
      name="sourceDate"
    />
  </div>
</template>
