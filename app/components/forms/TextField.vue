<script setup lang="ts">
import InputText from 'primevue/inputtext'
import { useId } from 'vue'

/** A labeled field with its note and what is wrong with it. */
defineProps<{
  label: string
  note?: string
  wrong?: string
  type?: string
  placeholder?: string
  autocomplete?: string
  inputmode?: 'decimal' | 'numeric' | 'text'
  name?: string
}>()
const value = defineModel<string>({ required: true })
const id = useId()
</script>

<template>
  <div class="field">
    <label :for="id">{{ label }}</label>
    <InputText
      :id="id"
      v-model="value"
      :name="name"
      :type="type ?? 'text'"
      :placeholder="placeholder"
      :autocomplete="autocomplete ?? 'off'"
      :inputmode="inputmode"
      :invalid="!!wrong"
      :aria-describedby="wrong || note ? `${id}-more` : undefined"
    />
    <p v-if="wrong" :id="`${id}-more`" class="wrong" role="alert">{{ wrong }}</p>
    <p v-else-if="note" :id="`${id}-more`" class="note">{{ note }}</p>
  </div>
</template>
