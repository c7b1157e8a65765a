<script setup lang="ts">
import Button from 'primevue/button'
import Textarea from 'primevue/textarea'
import { onMounted, ref } from 'vue'
import type { ReminderResponse } from '~~/shared/machines'
import TextField from '../forms/TextField.vue'
import { useForm } from '../../composables/useForm'
import { api } from '../../utils/api'

/** What an owner is told of all their machines that are due: to copy, to print, or to send. That they were told is written down. */
const props = defineProps<{ customerId: number; weeks: number }>()
const emit = defineEmits<{ done: []; told: [] }>()
const form = useForm()
const draft = ref<ReminderResponse | null>(null)
const [subject, text, email, kept] = [ref(''), ref(''), ref(''), ref('')]
onMounted(async () => {
  draft.value = await form.send(() =>
    api('GET /api/customers/:id/reminder', { id: props.customerId, query: { weeks: props.weeks } }),
  )
  if (!draft.value) return
  subject.value = draft.value.subject
  text.value = draft.value.text
  email.value = draft.value.email
})
const area = ref<HTMLElement | null>(null)
/** The clipboard wants a secure context; without one the text is selected, ready for the keys. */
async function copy(): Promise<boolean> {
  try {
    await navigator.clipboard.writeText(text.value)
    return true
  } catch {
    area.value?.querySelector('textarea')?.select()
    return document.execCommand('copy')
  }
}
async function tell(how: 'copied' | 'printed' | 'sent'): Promise<void> {
  kept.value = ''
  if (how === 'copied' && !(await copy())) kept.value = 'The text is marked: copy it with Ctrl-C.'
  if (how === 'printed') window.print()
  if (how === 'sent' && email.value !== draft.value!.email && !(await saveEmail())) return
  const answer = await form.send(() =>
    api('POST /api/reminders', {
      body: {
        customerId: props.customerId,
        machineIds: draft.value!.machineIds,
        how,
        text: text.value,
        subject: subject.value,
      },
    }),
  )
  if (!answer) return
  kept.value ||=
    how === 'sent'
      ? `In the outbox as ${answer.file}.`
      : how === 'copied'
        ? 'Copied, and written down as told.'
        : 'Written down as told.'
  emit('told')
}
async function saveEmail(): Promise<boolean> {
  const all = await form.send(() => api('GET /api/customers'))
  const own = all?.find(c => c.id === props.customerId)
  return (
    own !== undefined &&
    (await form.send(() =>
      api('PUT /api/customers/:id', { id: own.id, body: { name: own.name, contact: own.contact, email: email.value } }),
    )) !== null
  )
}
</script>

<template>
  <aside class="tell" aria-label="Tell the owner">
    <header>
      <h2>Tell {{ draft?.owner ?? 'the owner' }}</h2>
      <button type="button" class="quiet" @click="emit('done')">Close</button>
    </header>
    <template v-if="draft">
      <TextField v-model="subject" label="Subject" :wrong="form.wrong('subject')" />
      <div ref="area" class="field">
        <label for="letter">Letter</label><Textarea id="letter" v-model="text" rows="14" auto-resize />
      </div>
      <pre class="printed">{{ text }}</pre>
      <TextField
        v-model="email"
        label="E-mail"
        note="Letters to send lie in the outbox folder as .eml files, for a mail program to take."
        :wrong="form.wrong('email')"
      />
      <div class="actions">
        <Button label="Copy" @click="tell('copied')" /><button type="button" class="quiet" @click="tell('printed')">
          Print</button
        ><button type="button" class="quiet" :disabled="!email.trim()" @click="tell('sent')">Send</button>
      </div>
      <p v-if="kept" class="note" role="status">{{ kept }}</p>
    </template>
    <p v-if="form.failed.value" class="wrong" role="alert">{{ form.failed.value }}</p>
  </aside>
</template>

<style scoped>
.tell {
  border-left: 1.5px solid var(--ink);
  background: var(--sheet);
  padding: 20px 24px;
  display: grid;
  gap: 14px;
  align-content: start;
}
header {
  display: flex;
  justify-content: space-between;
  gap: 12px;
  align-items: center;
}
h2 {
  font-size: 22px;
}
.field textarea {
  font-size: 16px;
  line-height: 1.35;
  width: 100%;
}
.printed {
  display: none;
}
.note {
  font-size: 15px;
  color: var(--ink2);
  overflow-wrap: anywhere;
}
</style>

<style>
@media print {
  body:has(.tell) .shop-header,
  body:has(.tell) .list,
  body:has(.tell) .due > header,
  .tell > :not(.printed) {
    display: none !important;
  }
  .tell {
    border: 0 !important;
    background: #fff !important;
  }
  .tell .printed {
    display: block !important;
    white-space: pre-wrap;
    font: 12pt/1.4 var(--sentences);
    color: #111;
  }
}
</style>
