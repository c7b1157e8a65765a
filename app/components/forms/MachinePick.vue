<script setup lang="ts">
import AutoComplete from 'primevue/autocomplete'
import { computed, onMounted, ref, useId, watch } from 'vue'
import type { MachineRow } from '~~/shared/responses'
import { useMachineSearch } from '../../composables/useMachineSearch'
import { t } from '../../words'

/** Another machine of the shop, found as it is typed; what was typed of it so far until one is picked. */
const props = defineProps<{ label: string; butId: number; wrong?: string }>()
const machine = defineModel<MachineRow | string | null>({ required: true })
const id = useId()
const { q, found, find } = useMachineSearch()
onMounted(find)
const others = computed(() => (found.value ?? []).filter(m => m.id !== props.butId))
const suggestions = ref<MachineRow[]>([])
watch(others, rows => {
  suggestions.value = rows
})
function suggest({ query }: { query: string }): void {
  // the list wants an answer to each asking, also to the same one
  suggestions.value = [...others.value]
  q.value = query
}
const nameOf = (m: MachineRow | string) => (typeof m === 'string' ? m : `${m.name}, ${m.tag}`)
</script>

<template>
  <div class="field">
    <label :for="id">{{ label }}</label>
    <AutoComplete
      v-model="machine"
      :input-id="id"
      :suggestions="suggestions"
      :option-label="nameOf"
      :delay="0"
      :min-length="0"
      complete-on-focus
      :placeholder="t('machine-pick.type-name-tag-plate-or')"
      :invalid="!!wrong"
      @complete="suggest"
    >
      <template #option="{ option }"
        ><span
          >{{ nameOf(option) }}<br /><small>{{ option.model }}, {{ option.owner }}</small></span
        ></template
      >
      <template #empty>{{ t('machine-pick.no-other-machine-like-that') }}</template>
    </AutoComplete>
    <p v-if="wrong" class="wrong" role="alert">{{ wrong }}</p>
  </div>
</template>
