<script setup lang="ts">
import type { SpecField, SpecText } from '~~/core/spec-book'
import { t } from '../../../words'
import TextField from '../../forms/TextField.vue'

/** Cam timing, where the source gives it. */
const spec = defineModel<SpecText>('spec', { required: true })
defineProps<{ odd: (field: SpecField) => string | undefined }>()
</script>

<template>
  <div class="grid">
    <TextField
      v-model="spec.checkLift"
      :label="t('spec-fields.at-lift-mm')"
      placeholder="1"
      :note="t('spec-fields.empty-seat-timing-all-five')"
      name="checkLift"
    /><TextField
      v-model="spec.io"
      :label="t('spec-fields.intake-opens-before-tdc')"
      :odd="odd('io')"
      name="io"
    /><TextField
      v-model="spec.ic"
      :label="t('spec-fields.intake-closes-after-bdc')"
      :odd="odd('ic')"
      name="ic"
    /><TextField
      v-model="spec.eo"
      :label="t('spec-fields.exhaust-opens-before-bdc')"
      :odd="odd('eo')"
      name="eo"
    /><TextField v-model="spec.ec" :label="t('spec-fields.exhaust-closes-after-tdc')" :odd="odd('ec')" name="ec" />
  </div>
</template>
