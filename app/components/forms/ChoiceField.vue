<script setup lang="ts" generic="T extends string | number | null">
import Select from 'primevue/select'
import { computed, useId } from 'vue'
import { useField } from './useField'

/** A labeled choice among a few. */
const told = defineProps<{
  label: string
  options: { value: T; label: string }[]
  note?: string
  wrong?: string
  placeholder?: string
  filter?: boolean
  /** Its path in what the form around it sends. */
  name?: string
}>()
const value = defineModel<T | null>({ required: true })
const id = useId()
const { wrong, leave } = useField(told)
/** What stands for nothing chosen is shown too: without it the field would look as if it waited for something. */
const unchosen = computed(() => told.options.find(o => o.value === null)?.label)
</script>

<template>
  <div class="field">
    <label :id="`${id}-label`" :for="id">{{ label }}</label>
    <Select
      v-model="value"
      :input-id="id"
      :aria-labelledby="`${id}-label`"
      :options="options"
      option-label="label"
      option-value="value"
      :placeholder="placeholder ?? unchosen"
      :filter="filter"
      :invalid="!!wrong"
      @hide="leave"
    />
    <p v-if="wrong" class="wrong" role="alert">{{ wrong }}</p>
    <p v-else-if="note" class="note">{{ note }}</p>
  </div>
</template>
