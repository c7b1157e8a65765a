<script setup lang="ts">
import { useConfirm } from 'primevue/useconfirm'
import { computed, useTemplateRef } from 'vue'
import type { Hands } from '~~/core/job'
import { type Language, LANGUAGES } from '~~/shared/languages'
import { useShortcutsOn } from '../../composables/useKeys'
import { useOwnLanguage } from '../../composables/useOwnLanguage'
import { LANGUAGE, speak } from '../../language'
import { t } from '../../words'
import MenuButton from './MenuButton.vue'

/** Who works here: how the screen looks and speaks, and the way out. */
const props = defineProps<{ person: string; waiting: number; dim: boolean; practiced: boolean }>()
const emit = defineEmits<{ signOut: []; dim: []; hands: [hands: Hands]; change: []; own: [] }>()
const own = useOwnLanguage()
const confirm = useConfirm()
const keysOn = useShortcutsOn()
/** The question stands under the name: the menu that it was asked from is closed by then. */
const name = useTemplateRef<HTMLElement>('name')

async function choose(language: Language): Promise<void> {
  await own.keep(language)
  speak(language)
}
/** What waits on this device is sent by its own person: they are told before they go. */
function signOut(): void {
  if (props.waiting === 0) return emit('signOut')
  confirm.require({
    target: name.value ?? undefined,
    message: t('person-menu.answers-wait', { waiting: props.waiting }),
    acceptLabel: t('person-menu.sign-out-all-the-same'),
    rejectLabel: t('person-menu.stay'),
    rejectProps: { severity: 'secondary', outlined: true },
    accept: () => emit('signOut'),
  })
}
const items = computed(() => [
  { label: props.dim ? t('shop-header.light') : t('shop-header.dim'), command: () => emit('dim') },
  ...(Object.keys(LANGUAGES) as Language[])
    .filter(l => l !== LANGUAGE)
    .map(l => ({ label: LANGUAGES[l], command: () => choose(l) })),
  {
    label: t('person-menu.single-keys', { isOn: keysOn.value }),
    command: () => {
      keysOn.value = !keysOn.value
    },
  },
  {
    label: t('person-menu.hands', { practiced: props.practiced }),
    command: () => emit('hands', props.practiced ? 'guided' : 'practiced'),
  },
  { separator: true },
  { label: t('person-menu.own'), command: () => emit('own') },
  { label: t('person-menu.change-of-hands'), command: () => emit('change') },
  { label: t('shop-header.sign-out'), command: signOut },
])
</script>

<template>
  <span ref="name"><MenuButton :label="person" :name="t('person-menu.of', { person })" :items="items" /></span>
</template>
