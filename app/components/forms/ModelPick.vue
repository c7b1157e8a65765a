<script setup lang="ts">
import AutoComplete from 'primevue/autocomplete'
import { onMounted, ref, useId, watch } from 'vue'
import type { ModelHit } from '~~/shared/spec-book'
import { useModelSearch } from '../../composables/useModelSearch'
import { t } from '../../words'

/** An engine model of the spec book, found as it is typed; what was typed of it so far until one is picked. */
defineProps<{ label: string; wrong?: string }>()
const model = defineModel<ModelHit | string | null>({ required: true })
const emit = defineEmits<{ none: [] }>()
const id = useId()
const { q, found, find } = useModelSearch(12)
onMounted(find)
const suggestions = ref<ModelHit[]>([])
watch(found, answer => {
  suggestions.value = answer?.rows ?? []
  if (answer?.total === 0) emit('none')
})
function suggest({ query }: { query: string }): void {
  // the list wants an answer to each asking, also to the same one
  suggestions.value = [...(found.value?.rows ?? [])]
  q.value = query
}
const nameOf = (m: ModelHit | string) =>
  typeof m === 'string' ? m : `${m.maker} ${m.model}${m.code ? `, ${m.code}` : ''}`
</script>

<template>
  <div class="field">
    <label :for="id">{{ label }}</label>
    <AutoComplete
      v-model="model"
      :input-id="id"
      :suggestions="suggestions"
      :option-label="nameOf"
      :delay="0"
      :min-length="0"
      complete-on-focus
      :placeholder="t('model-pick.type-maker-model-or-code')"
      :invalid="!!wrong"
      @complete="suggest"
    >
      <template #option="{ option }"
        ><span
          >{{ nameOf(option) }}<br /><small>{{
            t('model-pick.intake-exhaust', { kind: option.kind, intake: option.intake, exhaust: option.exhaust })
          }}</small></span
        ></template
      >
      <template #empty>{{ t('model-pick.nothing-like-that-in-the') }}</template>
    </AutoComplete>
    <p v-if="wrong" class="wrong" role="alert">{{ wrong }}</p>
  </div>
</template>
