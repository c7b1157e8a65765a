<script setup lang="ts">
import Button from 'primevue/button'
import InputText from 'primevue/inputtext'
import { computed } from 'vue'
import type { BayCard, BayResponse, TaskRow } from '~~/shared/board'
import { typedTasks, useTasks } from '../../composables/useTasks'
import { t } from '../../words'

/** What is done to a card without dragging: whose it is, sooner or later, and what else the visit is for. */
const props = defineProps<{ card: BayCard; crew: BayResponse['crew']; among: BayCard[] }>()
const emit = defineEmits<{ place: [personId: number | null, beforeJobId: number | null]; changed: []; done: [] }>()
const index = computed(() => props.among.findIndex(c => c.jobId === props.card.jobId))
const sooner = () => emit('place', props.card.assigned?.id ?? null, props.among[index.value - 1]!.jobId)
const later = () => emit('place', props.card.assigned?.id ?? null, props.among[index.value + 2]?.jobId ?? null)

const tasks = useTasks()
const { form } = tasks
/** What is being typed stays with its card: the panel closes when the card moves, or another's is opened. */
const name = computed({
  get: () => typedTasks.get(props.card.jobId) ?? '',
  set: words => typedTasks.set(props.card.jobId, words),
})
const NEEDS: { value: TaskRow['needs']; label: string }[] = [
  { value: 'either', label: t('common.any-time') },
  { value: 'warm', label: t('common.warm-engine') },
  { value: 'cold', label: t('common.cold-engine') },
]
async function add(needs: TaskRow['needs']): Promise<void> {
  // a second tap in a hurry adds it once
  if (form.busy.value || !(await tasks.add(props.card.jobId, name.value, needs))) return
  name.value = ''
  emit('changed')
}
async function drop(id: number): Promise<void> {
  if (await tasks.drop(id)) emit('changed')
}
</script>

<template>
  <div class="move">
    <div class="row" role="group" :aria-label="t('move-panel.whose-is', { machine: card.machine })">
      <Button
        v-for="p in crew"
        :key="p.id"
        severity="secondary"
        outlined
        :class="{ here: card.assigned?.id === p.id }"
        :aria-pressed="card.assigned?.id === p.id"
        @click="emit('place', p.id, null)"
      >
        {{ p.name }}
      </Button>
      <Button
        severity="secondary"
        outlined
        :class="{ here: !card.assigned }"
        :aria-pressed="!card.assigned"
        @click="emit('place', null, null)"
      >
        {{ t('common.unassigned') }}
      </Button>
      <Button severity="secondary" outlined :disabled="index <= 0" @click="sooner">
        {{ t('move-panel.sooner') }}</Button><Button
        severity="secondary"
        outlined
        :disabled="index < 0 || index >= among.length - 1"
        @click="later"
      >
        {{ t('move-panel.later') }}
      </Button>
    </div>
    <label :for="`task-new-${card.jobId}`">{{ t('common.also-to-do') }}</label>
    <InputText
      :id="`task-new-${card.jobId}`"
      v-model="name"
      :placeholder="t('common.brake-cable')"
      autocomplete="off"
    />
    <div class="row">
      <Button
        v-for="n in NEEDS"
        :key="n.value"
        severity="secondary"
        outlined
        :disabled="!name.trim()"
        @click="add(n.value)"
      >
        {{ t('move-panel.add', { label: n.label }) }}
      </Button>
    </div>
    <div v-if="card.tasks.some(t => !t.doneAt)" class="row">
      <Button
        v-for="task in card.tasks.filter(x => !x.doneAt)"
        :key="task.id"
        severity="secondary"
        outlined
        @click="drop(task.id)"
      >
        {{ t('move-panel.take-off', { name: task.name }) }}
      </Button>
    </div>
    <p v-if="form.failed.value" class="wrong" role="alert">{{ form.failed.value }}</p>
    <Button link @click="emit('done')">{{ t('common.leave-it') }}</Button>
  </div>
</template>

<style scoped>
.move {
  display: grid;
  gap: 8px;
  padding-top: 10px;
}
.row {
  display: flex;
  flex-wrap: wrap;
  gap: 8px;
}
.here {
  background: var(--petrol);
  color: var(--on-petrol);
  border-color: var(--petrol);
}
.p-button:disabled {
  opacity: 0.5;
}
label {
  font-size: 15px;
}
.move :deep(input) {
  min-height: 44px;
  width: 100%;
}
</style>
