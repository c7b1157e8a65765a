<script setup lang="ts">
import type { SpecField, SpecText } from '~~/core/spec-book'
import { t } from '../../../words'
import AreaField from '../../forms/AreaField.vue'
import ChoiceField from '../../forms/ChoiceField.vue'
import TextField from '../../forms/TextField.vue'
import { named } from './options'

/** Other printed figures, and when the valves are set. */
const spec = defineModel<SpecText>('spec', { required: true })
defineProps<{ odd: (field: SpecField) => string | undefined }>()
</script>

<template>
  <div class="grid">
    <TextField
      v-model="spec.intakeAlso"
      :label="t('spec-fields.intake-in-the-pages-other')"
      placeholder=".0032–.0046"
      :note="t('spec-fields.as-printed-it-is-held')"
      :odd="odd('intakeAlso')"
      name="intakeAlso"
    />
    <TextField
      v-model="spec.exhaustAlso"
      :label="t('spec-fields.exhaust-in-the-pages-other')"
      placeholder=".0059–.0075"
      :odd="odd('exhaustAlso')"
      name="exhaustAlso"
    />
    <AreaField
      v-model="spec.others"
      class="wide"
      :label="t('spec-fields.other-printed-figures-that-disagree')"
      :rows="1"
      :placeholder="t('spec-fields.exhaust-0-13-0-17')"
      :note="t('spec-fields.they-are-never-averaged-at')"
      name="others"
    />
    <AreaField
      v-model="spec.superseded"
      class="wide"
      :label="t('spec-fields.earlier-printings')"
      :rows="1"
      :placeholder="t('spec-fields.exhaust-0-20-1st-printing')"
      :note="t('spec-fields.said-at-right-spec')"
      name="superseded"
    />
    <ChoiceField
      v-model="spec.setWhen"
      :label="t('spec-fields.set')"
      :options="named('cold', 'hot')"
      name="setWhen"
    /><TextField
      v-model="spec.coldLimit"
      :label="t('spec-fields.cold-means-under-c')"
      :note="t('spec-fields.c-or-f')"
      name="coldLimit"
    />
  </div>
</template>
