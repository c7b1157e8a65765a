<script setup lang="ts">
import AutoComplete from 'primevue/autocomplete'
import { computed, ref, useId, useTemplateRef } from 'vue'
import type { MachineRow } from '~~/shared/machines'
import { useMachineSearch } from '../../composables/useMachineSearch'
import { t } from '../../words'
import { useField } from './useField'
import { usePicker } from './usePicker'

/** Another machine of the shop, found as it is typed; what was typed of it so far until one is picked. */
const props = defineProps<{ label: string; butId: number; wrong?: string; name?: string }>()
const machine = defineModel<MachineRow | string | null>({ required: true })
const id = useId()
const { wrong, leave } = useField(props)
const { found, findNow } = useMachineSearch()
const others = computed(() => (found.value ?? []).filter(m => m.id !== props.butId))
const suggestions = ref<MachineRow[]>([])
const list = usePicker(machine, suggestions, useTemplateRef('field'))
async function suggest({ query }: { query: string }): Promise<void> {
  if (await findNow(query)) await list(others.value)
}
const nameOf = (m: MachineRow | string) => (typeof m === 'string' ? m : `${m.name}, ${m.tag}`)
</script>

<template>
  <div class="field">
    <label :for="id">{{ label }}</label>
    <AutoComplete
      ref="field"
      v-model="machine"
      :input-id="id"
      :suggestions="suggestions"
      :option-label="nameOf"
      :delay="120"
      :min-length="0"
      :complete-on-focus="typeof machine !== 'object' || machine === null"
      :placeholder="t('machine-pick.type-name-tag-plate-or')"
      :invalid="!!wrong"
      @blur="leave"
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
