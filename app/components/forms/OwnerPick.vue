<script setup lang="ts">
import Button from 'primevue/button'
import { computed, ref, watch } from 'vue'
import { useCustomers } from '../../composables/useCustomers'
import { t } from '../../words'
import ChoiceField from './ChoiceField.vue'
import { ownerWords } from './owner-words'
import TextField from './TextField.vue'

/** An owner of the shop, or a new one by name. */
export type Owner = { id: number } | { name: string; contact: string }
const props = defineProps<{ butId?: number; name?: string }>()
const owner = defineModel<Owner | null>({ required: true })
const NEW = 0
const customers = useCustomers()
const chosen = ref<number | null>(NEW)
const typed = ref('')
const options = computed(() => [
  { value: NEW, label: t('owner-pick.a-new-owner') },
  ...customers.value.map(c => ({ value: c.id, label: ownerWords(c) })),
])
const folded = (name: string): string => name.trim().toLowerCase().replace(/\s+/g, ' ')
/** Owners who are called as the new one: most often the same person, and nobody should be on record twice. */
const namesakes = computed(() =>
  customers.value.filter(c => c.id !== props.butId && folded(c.name) === folded(typed.value)),
)
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
  <div v-if="chosen === NEW">
    <TextField v-model="typed" :label="t('owner-pick.new-owners-name')" :name="name" />
    <p v-for="c in namesakes" :key="c.id" role="status">
      {{ t('owner-pick.is-here-already', { owner: ownerWords(c) }) }}
      <Button link :label="t('owner-pick.that-is-the-one')" @click="chosen = c.id" />
    </p>
  </div>
</template>
