<script setup lang="ts">
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
defineProps<{ wrong: (field: string) => string | undefined }>()
</script>

<template>
  <div class="grid">
    <TextField v-model="model.maker" label="Maker" :wrong="wrong('maker')" /><TextField
      v-model="model.model"
      label="Model"
      :wrong="wrong('model')"
    />
    <TextField v-model="model.code" label="Engine code" :wrong="wrong('code')" /><TextField
      v-model="model.kind"
      label="Kind"
      placeholder="Mower, generator, scooter"
      :wrong="wrong('kind')"
    />
    <TextField
      v-model="model.family"
      label="Family"
      note="Engines that share their parts."
      :wrong="wrong('family')"
    /><TextField
      v-model="model.displacementCc"
      label="Displacement, cm³"
      inputmode="decimal"
      :wrong="wrong('displacementCc')"
    />
    <TextField
      v-model="model.yearFrom"
      label="Built from, year"
      inputmode="numeric"
      :wrong="wrong('yearFrom')"
    /><TextField v-model="model.yearTo" label="to, year" inputmode="numeric" :wrong="wrong('yearTo')" />
  </div>
</template>
