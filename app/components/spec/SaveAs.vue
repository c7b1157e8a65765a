<script setup lang="ts">
import { computed } from 'vue'
import { t } from '../../words'
import MenuButton from '../shell/MenuButton.vue'

/** The book, or some models of it, as a file of the kind that is chosen. */
const props = defineProps<{ label: string; ids?: number[] }>()
const KINDS: { label: string; query: Record<string, string> }[] = [
  { label: t('save-as.workbook-xlsx'), query: { format: 'xlsx' } },
  { label: t('save-as.workbook-ods'), query: { format: 'ods' } },
  { label: t('save-as.csv'), query: { format: 'csv' } },
  { label: t('save-as.csv-with-semicolons'), query: { format: 'csv', delimiter: ';' } },
  { label: t('save-as.json'), query: { format: 'json' } },
]
const items = computed(() => {
  const ids: Record<string, string> = props.ids?.length ? { ids: props.ids.join() } : {}
  return KINDS.map(({ label, query }) => ({
    label,
    url: `/api/spec-export?${new URLSearchParams({ ...query, ...ids })}`,
  }))
})
</script>

<template>
  <MenuButton :label="label" :items="items" />
</template>
