<script setup lang="ts">
import Button from 'primevue/button'
import SelectButton from 'primevue/selectbutton'
import { computed, ref } from 'vue'
import { type MachineCounts, type MachineListRequest, MACHINES_SHOWN } from '~~/shared/machines'
import { useCustomers } from '../../composables/useCustomers'
import { t } from '../../words'
import ChoiceField from '../forms/ChoiceField.vue'
import TextField from '../forms/TextField.vue'

/** Which of the shop's machines are listed. */
const props = defineProps<{
  asked: Omit<MachineListRequest, 'q' | 'most'>
  counts: MachineCounts | null
  kinds: readonly string[]
}>()
const emit = defineEmits<{ ask: [change: Partial<MachineListRequest>] }>()
const text = defineModel<string>({ required: true })

const customers = useCustomers()
const owners = computed(() => [
  { value: 0, label: t('machine-filters.all-owners') },
  ...customers.value.filter(c => c.machines > 0).map(c => ({ value: c.id, label: c.name })),
])
const owner = computed({
  get: () => props.asked.owner,
  set: (value: number | null) => emit('ask', { owner: value ?? 0 }),
})
const kinds = computed(() => [
  { value: '', label: t('machine-filters.all-kinds') },
  ...props.kinds.map(kind => ({ value: kind, label: kind })),
])
const kind = computed({
  get: () => props.asked.kind,
  set: (value: string | null) => emit('ask', { kind: value ?? '' }),
})
const shows = computed(() =>
  MACHINES_SHOWN.map(value => ({
    value,
    label: t('machine-filters.show', {
      name: t(`machine-filters.show.${value}`),
      count: props.counts?.[value] ?? null,
    }),
  })),
)
/** On a phone the list comes first: what narrows and sorts it is unfolded. */
const open = ref(false)
const narrowed = computed(() => [props.asked.owner, props.asked.kind].filter(Boolean).length)
/** On a phone the head of the table, which sorts it, is not there. */
const sorts = [
  { value: 'name' as const, label: t('common.name') },
  { value: 'owner' as const, label: t('common.owner') },
  { value: 'visit' as const, label: t('machine-filters.sort.visit') },
  { value: 'due' as const, label: t('machine-filters.sort.due') },
]
const sort = computed({
  get: () => props.asked.sort,
  set: value => emit('ask', { sort: value ?? 'name', down: value === 'visit' ? 'yes' : 'no' }),
})
</script>

<template>
  <div class="filters">
    <TextField
      v-model="text"
      class="find"
      :label="t('page-machines.find-by-owner-plate-serial')"
      :placeholder="t('page-machines.start-typing')"
    />
    <Button
      class="fold"
      severity="secondary"
      outlined
      :aria-expanded="open"
      aria-controls="machine-choices"
      @click="open = !open"
    >
      {{ t('machine-filters.fold', { narrowed }) }}
    </Button>
    <div id="machine-choices" class="choices" :class="{ open }">
      <ChoiceField v-model="owner" :label="t('common.owner')" :options="owners" filter />
      <ChoiceField
        v-model="kind"
        :label="t('machine-filters.kind')"
        :options="kinds"
        :placeholder="t('machine-filters.all-kinds')"
      />
      <ChoiceField v-model="sort" class="narrow-only" :label="t('machine-filters.sort')" :options="sorts" />
    </div>
  </div>
  <SelectButton
    class="show"
    :model-value="asked.show"
    :options="shows"
    option-label="label"
    option-value="value"
    :allow-empty="false"
    :aria-label="t('machine-filters.which')"
    @update:model-value="emit('ask', { show: $event })"
  />
</template>

<style scoped>
.filters {
  display: grid;
  grid-template-columns: minmax(0, 1fr) minmax(0, 1fr);
  gap: 12px 16px;
  align-items: end;
}
.choices {
  display: grid;
  grid-template-columns: minmax(0, 1fr) minmax(0, 1fr);
  gap: 12px 16px;
}
.fold,
.narrow-only {
  display: none;
}
.show {
  display: flex;
  flex-wrap: wrap;
  gap: 8px;
}
.show :deep(.p-togglebutton) {
  border: 1px solid var(--edge);
  border-radius: 8px;
  min-height: 44px;
}
.show :deep(.p-togglebutton-checked) {
  border-color: var(--petrol);
}
@media (max-width: 900px) {
  .filters {
    grid-template-columns: minmax(0, 1fr) auto;
  }
  .fold {
    display: inline-flex;
  }
  .choices {
    display: none;
    grid-column: 1 / -1;
  }
  .choices.open {
    display: grid;
  }
  .narrow-only {
    display: grid;
    grid-column: 1 / -1;
  }
}
</style>
