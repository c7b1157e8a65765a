<script setup lang="ts">
import Button from 'primevue/button'
import type { SpecText } from '~~/core/spec-book'
import { t } from '../../../words'
import ChoiceField from '../../forms/ChoiceField.vue'
import TextField from '../../forms/TextField.vue'
import { named } from './options'

/** What sets the gap, as it is found. */
const spec = defineModel<SpecText>('spec', { required: true })
/** Threads that rockers have, the usual ones first. From memory; the standards’ own are in core/adjuster. */
const THREADS = ['M5×0.5', 'M6×0.75', 'M5×0.8', 'M6×1', '10-32', '1/4-28']
</script>

<template>
  <div class="grid">
    <ChoiceField
      v-model="spec.adjuster"
      :label="t('spec-part.adjuster')"
      :options="[
        { value: 'valve-end', label: t('spec-fields.screw-at-the-valve-end') },
        { value: 'pushrod-end', label: t('spec-fields.screw-at-the-push-rod') },
        { value: 'pivot-nut', label: t('spec-fields.pivot-nut-on-a-stud') },
      ]"
      name="adjuster"
    /><ChoiceField
      v-model="spec.head"
      :label="t('spec-fields.screw-head')"
      :options="named('slot', 'square', 'hex socket', 'Torx')"
    />
    <ChoiceField
      v-if="spec.adjuster === 'pivot-nut'"
      v-model="spec.lockedBy"
      :label="t('spec-fields.held-on-its-stud-by')"
      :options="[
        { value: '', label: t('spec-fields.not-told-center-screw') },
        ...named('center screw', 'second nut', 'own grip'),
      ]"
      name="lockedBy"
    />
    <TextField
      v-model="spec.headSize"
      :label="t('spec-fields.key-across-flats')"
      :note="t('spec-fields.mm-or-any-unit')"
      name="headSize"
    /><TextField
      v-model="spec.nutSize"
      :label="
        spec.adjuster === 'pivot-nut' ? t('spec-fields.pivot-nut-across-flats') : t('spec-fields.locknut-across-flats')
      "
      :note="t('spec-fields.mm-or-any-unit')"
      name="nutSize"
    />
    <div class="field" data-field="pitch">
      <TextField
        v-model="spec.pitch"
        :label="t('spec-fields.screw-thread-or-pitch-in')"
        :note="t('spec-fields.empty-0-75-assumed')"
        name="pitch"
      />
      <p class="threads">
        <Button
          v-for="thread in THREADS"
          :key="thread"
          severity="secondary"
          outlined
          size="small"
          :aria-pressed="spec.pitch === thread"
          @click="spec.pitch = thread"
          >{{ thread }}</Button
        >
      </p>
    </div>
    <TextField v-model="spec.ratio" :label="t('spec-fields.rocker-ratio')" name="ratio" />
  </div>
</template>

<style scoped>
.threads {
  display: flex;
  flex-wrap: wrap;
  gap: 6px;
}
</style>
