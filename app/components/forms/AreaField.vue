<script setup lang="ts">
import Textarea from 'primevue/textarea'
import { useId } from 'vue'
import { useField } from './useField'

/** A labeled field of several lines, with its note and what is wrong with it. */
const told = defineProps<{
  label: string
  rows: number
  note?: string
  wrong?: string
  /** What is odd about it, though it can be read. */
  odd?: string
  placeholder?: string
  /** Its path in what the form around it sends. */
  name?: string
}>()
const value = defineModel<string>({ required: true })
const id = useId()
const { wrong, leave } = useField(told)
</script>

<template>
  <div class="field" @focusout="leave">
    <label :for="id">{{ label }}</label>
    <Textarea
      :id="id"
      v-model="value"
      :rows="rows"
      auto-resize
      :placeholder="placeholder"
      :invalid="!!wrong"
      :aria-describedby="wrong || note ? `${id}-more` : undefined"
    />
    <p v-if="wrong" :id="`${id}-more`" class="wrong" role="alert">{{ wrong }}</p>
    <p v-else-if="note" :id="`${id}-more`" class="note">{{ note }}</p>
  </div>
</template>
