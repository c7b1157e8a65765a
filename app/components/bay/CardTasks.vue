<script setup lang="ts">
import Button from 'primevue/button'
import Checkbox from 'primevue/checkbox'
import InputText from 'primevue/inputtext'
import { ref } from 'vue'
import type { BayCard } from '~~/shared/board'
import { useTasks } from '../../composables/useTasks'
import { t } from '../../words'

/** What else the visit is for. What wants a warm engine is held until the valves are done, or somebody says why not. */
defineProps<{ tasks: BayCard['tasks'] }>()
const emit = defineEmits<{ changed: [] }>()
const { form, tick: send } = useTasks()
const asked = ref<number | null>(null)
const because = ref('')
async function tick(id: number, done: boolean): Promise<void> {
  const ticked = await send(id, done, asked.value === id ? because.value : '')
  asked.value = !ticked && form.refusal.value?.problem.code === 'held' ? id : null
  if (ticked) {
    because.value = ''
    emit('changed')
  }
}
</script>

<template>
  <ul class="tasks" :aria-label="t('common.also-to-do')">
    <li v-for="task in tasks" :key="task.id" :class="{ held: task.held }">
      <Checkbox
        :model-value="task.doneAt !== null"
        :input-id="`task-${task.id}`"
        binary
        @update:model-value="tick(task.id, $event === true)"
      />
      <label :for="`task-${task.id}`"
        ><b>{{ task.name }}</b
        ><small v-if="task.doneAt">{{
          t('card-tasks.done', { doneBy: task.doneBy ?? '', because: task.because ? `: ${task.because}` : '' })
        }}</small
        ><small v-else-if="task.held">{{ task.held }}</small
        ><small v-else-if="task.needs === 'warm'">{{ t('common.warm-engine') }}</small></label
      >
    </li>
  </ul>
  <form v-if="asked !== null" class="why" @submit.prevent="tick(asked, true)">
    <p class="wrong" role="alert">{{ form.failed.value }}</p>
    <label for="because">{{ t('card-tasks.why-not') }}</label><InputText id="because" v-model="because" /><Button
      type="submit"
      severity="secondary"
      outlined
      :disabled="!because.trim()"
    >
      {{ t('card-tasks.done-anyway') }}
    </Button>
  </form>
</template>

<style scoped>
.tasks {
  list-style: none;
  margin: 8px 0 0;
  padding: 0;
  display: grid;
  gap: 2px;
}
li {
  display: flex;
  gap: 10px;
  align-items: center;
  min-height: 44px;
}
label {
  cursor: pointer;
  display: grid;
}
b {
  font: 600 16px/1.2 var(--figures);
}
small {
  font: 500 14px/1.25 var(--sentences);
  color: var(--ink2);
}
.held b {
  color: var(--ink2);
}
.why {
  display: grid;
  gap: 8px;
  padding: 8px 0;
}
.why input {
  min-height: 44px;
  width: 100%;
}
</style>
