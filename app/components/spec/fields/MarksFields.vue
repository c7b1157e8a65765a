<script setup lang="ts">
import { TURNED_BY } from '~~/core/engine'
import type { SpecField, SpecText } from '~~/core/spec-book'
import { t } from '../../../words'
import AreaField from '../../forms/AreaField.vue'
import ChoiceField from '../../forms/ChoiceField.vue'
import TextField from '../../forms/TextField.vue'
import MarkLooks from './MarkLooks.vue'

/** Marks, signs, the maker’s stops, and how the crank is turned. */
const spec = defineModel<SpecText>('spec', { required: true })
defineProps<{ odd: (field: SpecField) => string | undefined }>()
const turnedBy = [
  { value: '', label: t('part-form.none') },
  ...TURNED_BY.map(by => ({ value: by as string, label: t('turn-by.name', { by }) })),
]
</script>

<template>
  <div class="grid">
    <TextField
      v-model="spec.marks"
      class="wide"
      :label="t('spec-fields.marks-letter-and-degrees')"
      placeholder="T 0, F 346"
      :note="t('spec-fields.degrees-at-the-pointer-empty')"
      name="marks"
    /><TextField
      v-model="spec.markWindow"
      :label="t('spec-fields.where-they-show')"
      :placeholder="t('spec-fields.the-rotor-window')"
      :note="t('spec-fields.pointer-notch-or-window-that')"
      name="markWindow"
    />
    <AreaField
      v-model="spec.camMarks"
      class="wide"
      :label="t('spec-fields.cam-signs-a-line-each')"
      :rows="2"
      :placeholder="t('spec-fields.the-two-dots-face-each')"
      name="camMarks"
    />
    <AreaField
      v-model="spec.stops"
      class="wide"
      :label="t('spec-fields.the-makers-own-stops-a')"
      :rows="2"
      :placeholder="t('spec-fields.14-p-left-intake-left')"
      :note="t('spec-fields.place-a-marks-letter-top')"
      :odd="odd('stops')"
      name="stops"
    />
    <ChoiceField
      v-model="spec.direction"
      :label="t('spec-fields.turns')"
      :options="[
        { value: 'clockwise', label: t('runs.clockwise') },
        { value: 'anticlockwise', label: t('runs.anticlockwise') },
      ]"
    /><TextField
      v-model="spec.seenFrom"
      :label="t('spec-fields.seen-from')"
      :placeholder="t('spec-fields.the-left')"
      name="seenFrom"
    /><TextField
      v-model="spec.means"
      :label="t('spec-fields.turned-by')"
      :placeholder="t('spec-fields.the-crank-nut')"
      name="means"
    /><ChoiceField
      v-model="spec.turnedWith"
      :label="t('spec-fields.with-what')"
      :options="turnedBy"
      name="turnedWith"
    />
  </div>
  <MarkLooks v-model:spec="spec" />
</template>
