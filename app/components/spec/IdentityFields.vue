<script setup lang="ts">
import { t } from '../../words'
import TextField from '../forms/TextField.vue'

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
/** Its name alone, what else it is found by, or both. */
const { part = 'all' } = defineProps<{ part?: 'name' | 'more' | 'all' }>()
</script>

<template>
  <div class="grid">
    <template v-if="part !== 'more'">
      <TextField v-model="model.maker" :label="t('identity-fields.maker')" name="maker" /><TextField
        v-model="model.model"
        :label="t('common.model')"
        name="model"
      />
    </template>
    <template v-if="part !== 'name'">
      <TextField v-model="model.code" :label="t('identity-fields.engine-code')" name="code" /><TextField
        v-model="model.kind"
        :label="t('identity-fields.kind')"
        :note="t('identity-fields.mower-generator-scooter')"
        name="kind"
      />
      <TextField
        v-model="model.family"
        :label="t('identity-fields.family')"
        :note="t('identity-fields.engines-that-share-their-parts')"
        name="family"
      /><TextField
        v-model="model.displacementCc"
        :label="t('identity-fields.displacement-cm')"
        inputmode="decimal"
        name="displacementCc"
      />
      <TextField
        v-model="model.yearFrom"
        :label="t('identity-fields.built-from-year')"
        inputmode="numeric"
        name="yearFrom"
      /><TextField v-model="model.yearTo" :label="t('identity-fields.to-year')" inputmode="numeric" name="yearTo" />
    </template>
  </div>
</template>
