<script setup lang="ts">
import AutoComplete from 'primevue/autocomplete'
import { computed, ref, useId } from 'vue'
import type { MachineRow } from '~~/shared/responses'
import { useMachineSearch } from '../../composables/useMachineSearch'
import { t } from '../../words'

/** Another machine of the shop, found as it is typed; what was typed of it so far until one is picked. */
const props = defineProps<{ label: string; butId: number; wrong?: string }>()
const machine = defineModel<MachineRow | string | null>({ required: true })
const id = useId()
const { found, findNow } = useMachineSearch()
const others = computed(() => (found.value ?? []).filter(m => m.id !== props.butId))
const suggestions = ref<MachineRow[]>([])
/** The list changes once, when the answer is there: a row that changed under a thumb would be the wrong machine. */
async function suggest({ query }: { query: string }): Promise<void> {
  if (await findNow(query)) suggestions.value = [...others.value]
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
      :delay="120"
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
