<script setup lang="ts">
import TextField from '../forms/TextField.vue'
import { t } from '../../words'

/** What a model is called and found by. */
type Identity = {
  maker: string
  model: string
  code: string
  kind: string
  family: string
  displacementCc: string
  yearFrom: string
  yearTo: string
}
const model = defineModel<Identity>({ required: true })
defineProps<{ wrong: (field: string) => string | undefined }>()
</script>

<template>
  <div class="grid">
    <TextField v-model="model.maker" :label="t('identity-fields.maker')" :wrong="wrong('maker')" /><TextField
      v-model="model.model"
      :label="t('common.model')"
      :wrong="wrong('model')"
    />
    <TextField v-model="model.code" :label="t('identity-fields.engine-code')" :wrong="wrong('code')" /><TextField
      v-model="model.kind"
      :label="t('identity-fields.kind')"
      :placeholder="t('identity-fields.mower-generator-scooter')"
      :wrong="wrong('kind')"
    />
    <TextField
      v-model="model.family"
      :label="t('identity-fields.family')"
      :note="t('identity-fields.engines-that-share-their-parts')"
      :wrong="wrong('family')"
    /><TextField
      v-model="model.displacementCc"
      :label="t('identity-fields.displacement-cm')"
      inputmode="decimal"
      :wrong="wrong('displacementCc')"
    />
    <TextField
      v-model="model.yearFrom"
      :label="t('identity-fields.built-from-year')"
      inputmode="numeric"
      :wrong="wrong('yearFrom')"
    /><TextField
      v-model="model.yearTo"
      :label="t('identity-fields.to-year')"
      inputmode="numeric"
      :wrong="wrong('yearTo')"
    />
  </div>
</template>
