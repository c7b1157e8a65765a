<script setup lang="ts">
import { computed, ref, watch } from 'vue'
import { useCustomers } from '../../composables/useCustomers'
import { t } from '../../words'
import ChoiceField from './ChoiceField.vue'
import { ownerWords } from './owner-words'
import TextField from './TextField.vue'

/** An owner of the shop, or a new one by name. */
export type Owner = { id: number } | { name: string; contact: string }
defineProps<{ butId?: number; name?: string }>()
const owner = defineModel<Owner | null>({ required: true })
const NEW = 0
const customers = useCustomers()
const chosen = ref<number | null>(NEW)
const typed = ref('')
const options = computed(() => [
  { value: NEW, label: t('owner-pick.a-new-owner') },
  ...customers.value.map(c => ({ value: c.id, label: ownerWords(c) })),
])
watch(
  [chosen, typed],
  () => {
    owner.value = chosen.value === NEW ? { name: typed.value, contact: '' } : { id: chosen.value! }
  },
  { immediate: true },
)
</script>

<template>
  <ChoiceField
    v-model="chosen"
    :label="t('common.owner')"
    :options="options.filter(o => o.value !== butId)"
    filter
    :name="chosen === NEW ? undefined : name"
  />
  <TextField v-if="chosen === NEW" v-model="typed" :label="t('owner-pick.new-owners-name')" :name="name" />
</template>
