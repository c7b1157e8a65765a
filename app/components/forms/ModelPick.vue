<script setup lang="ts">
import AutoComplete from 'primevue/autocomplete'
import { onMounted, ref, useId, useTemplateRef } from 'vue'
import type { ModelHit } from '~~/shared/spec-book'
import { useModelSearch } from '../../composables/useModelSearch'
import { t } from '../../words'
import { useField } from './useField'
import { usePicker } from './usePicker'

/** An engine model of the spec book, found as it is typed; what was typed of it so far until one is picked. */
const told = defineProps<{ label: string; wrong?: string; name?: string }>()
const model = defineModel<ModelHit | string | null>({ required: true })
const emit = defineEmits<{ none: [] }>()
const id = useId()
const { wrong, leave } = useField(told)
const { found, findNow } = useModelSearch(12)
const suggestions = ref<ModelHit[]>([])
const list = usePicker(model, suggestions, useTemplateRef('field'))
async function suggest({ query }: { query: string }): Promise<void> {
  if (!(await findNow(query))) return
  await list(found.value?.rows ?? [])
  if (found.value?.total === 0) emit('none')
}
onMounted(() => suggest({ query: '' }))
const nameOf = (m: ModelHit | string) =>
  typeof m === 'string' ? m : `${m.maker} ${m.model}${m.code ? `, ${m.code}` : ''}`
</script>

<template>
  <div class="field">
    <label :for="id">{{ label }}</label>
    <AutoComplete
      ref="field"
      v-model="model"
      :input-id="id"
      :suggestions="suggestions"
      :option-label="nameOf"
      :delay="120"
      :min-length="0"
      :complete-on-focus="typeof model !== 'object' || model === null"
      :placeholder="t('model-pick.type-maker-model-or-code')"
      :invalid="!!wrong"
      @blur="leave"
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
