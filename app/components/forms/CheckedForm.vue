<script setup lang="ts">
import { useEventListener } from '@vueuse/core'
import { nextTick, provide, useTemplateRef } from 'vue'
import type { z } from '~~/core/zod'
import type { useForm } from '../../composables/useForm'
import { FORM_AROUND, useChecks } from './checked-form'

/**
 * A form that says what is wrong beside the field at its first leave, by the server's own schema; the fields in it have
 * names, their paths in what is sent. What the schema finds is not sent.
 */
const { form, schema, body } = defineProps<{
  form: ReturnType<typeof useForm>
  schema: z.ZodType
  /** What would be sent as it stands. */
  body: () => unknown
}>()
/** `stopped`: it was to be sent, and something is wrong. */
const emit = defineEmits<{ send: []; stopped: [] }>()
const checks = useChecks(
  () => schema,
  () => body(),
)
const element = useTemplateRef<HTMLFormElement>('element')

/** While a finger is down nothing may move under it: words that appear would push away the button that it is on. */
let pressed = false
let waiting: (() => void)[] = []
const settle = () => {
  pressed = false
  const ready = waiting
  waiting = []
  setTimeout(() => ready.forEach(check => check()))
}
useEventListener(window, 'pointerdown', () => (pressed = true), { capture: true })
useEventListener(window, ['pointerup', 'pointercancel'], settle, { capture: true })

const unread = new Set<() => boolean>()
provide(FORM_AROUND, {
  register: checks.register,
  leave: name => (pressed ? waiting.push(() => checks.leave(name)) : checks.leave(name)),
  wrong: name => checks.errorOf(name) ?? form.wrong(name),
  holdBack: test => {
    unread.add(test)
    return () => unread.delete(test)
  },
})

let isChecking = false
async function submit(): Promise<void> {
  // a second tap in a hurry sends nothing twice
  if (isChecking || form.busy.value) return
  isChecking = true
  const isRight = await checks.all().finally(() => (isChecking = false))
  if (isRight && ![...unread].some(test => test())) return emit('send')
  emit('stopped')
  await nextTick()
  element.value?.querySelector<HTMLElement>('[aria-invalid="true"]')?.focus()
}
defineExpose({ forget: checks.forget })
</script>

<template>
  <form ref="element" novalidate @submit.prevent="submit"><slot /></form>
</template>
