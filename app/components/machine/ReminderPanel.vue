<script setup lang="ts">
import Button from 'primevue/button'
import { ref, watch } from 'vue'
import { useReminder } from '../../composables/useReminder'
import { t } from '../../words'
import AreaField from '../forms/AreaField.vue'
import TextField from '../forms/TextField.vue'

/**
 * What an owner is told of all their machines that are due: to copy, to print, or to send. That they were told is
 * written down.
 */
const props = defineProps<{ customerId: number; weeks: number }>()
const emit = defineEmits<{ done: []; told: [] }>()
const { form, draft, subject, text, email, saveEmail, tell: writeDown } = useReminder(props)
const kept = ref('')
/** How they were told this letter already: a second tap tells nobody twice. */
const told = ref(new Set<'copied' | 'printed' | 'sent'>())
watch([subject, text, email], () => told.value.clear())
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
const telling = ref(false)
async function tell(how: 'copied' | 'printed' | 'sent'): Promise<void> {
  if (telling.value) return
  telling.value = true
  kept.value = ''
  if (how === 'copied' && !(await copy())) kept.value = t('reminder-panel.the-text-is-marked-copy')
  if (how === 'printed') window.print()
  if (!told.value.has(how)) await note(how)
  telling.value = false
}
/** Writes down that they were told. */
async function note(how: 'copied' | 'printed' | 'sent'): Promise<void> {
  if (how === 'sent' && !(await saveEmail())) return
  const answer = await writeDown(how)
  if (!answer) return
  told.value.add(how)
  kept.value ||=
    how === 'sent'
      ? t('reminder-panel.in-the-outbox-as', { file: answer.file ?? '' })
      : how === 'copied'
        ? t('reminder-panel.copied-and-noted-as-told')
        : t('reminder-panel.noted-as-told')
  emit('told')
}
</script>

<template>
  <aside class="tell" :aria-label="t('common.tell-the-owner')">
    <header>
      <h2>{{ t('reminder-panel.tell', { owner: draft?.owner ?? t('reminder-panel.the-owner') }) }}</h2>
      <Button severity="secondary" outlined @click="emit('done')">{{ t('common.close') }}</Button>
    </header>
    <template v-if="draft">
      <TextField v-model="subject" :label="t('reminder-panel.subject')" :wrong="form.wrong('subject')" />
      <div ref="area"><AreaField v-model="text" :label="t('common.letter')" :rows="14" /></div>
      <pre class="printed">{{ text }}</pre>
      <TextField
        v-model="email"
        :label="t('common.e-mail')"
        :note="t('reminder-panel.letters-to-send-lie-in')"
        :wrong="form.wrong('email')"
      />
      <div class="actions">
        <Button :label="t('reminder-panel.copy')" @click="tell('copied')" /><Button
          severity="secondary"
          outlined
          @click="tell('printed')"
        >
          {{ t('common.print') }}</Button
        ><Button severity="secondary" outlined :disabled="!email.trim() || told.has('sent')" @click="tell('sent')">
          {{ t('reminder-panel.send') }}
        </Button>
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
