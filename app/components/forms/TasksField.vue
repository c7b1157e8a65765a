<script setup lang="ts">
import Button from 'primevue/button'
import InputText from 'primevue/inputtext'
import { computed, ref, watch } from 'vue'
import { t } from '../../words'

/** What else the visit is for: the usual ones as keys, others by name; each says what it wants of the engine. */
interface Task {
  name: string
  needs: 'cold' | 'warm' | 'either'
}
const tasks = defineModel<Task[]>({ required: true })
const USUAL: Task[] = [
  { name: t('tasks-field.oil-change'), needs: 'warm' },
  { name: t('tasks-field.idle-and-mixture'), needs: 'warm' },
  { name: t('tasks-field.head-bolts'), needs: 'cold' },
  { name: t('tasks-field.air-filter'), needs: 'either' },
]
const WORDS = {
  warm: t('tasks-field.warm-engine-after-the-valves'),
  cold: t('common.cold-engine'),
  either: t('common.any-time'),
}
const own = ref('')
const has = (name: string) => tasks.value.some(t => t.name === name)
const toggle = (task: Task) => {
  tasks.value = has(task.name) ? tasks.value.filter(t => t.name !== task.name) : [...tasks.value, task]
}
/** What is typed counts while it stands in the field: nobody has to press Add before the form is sent. */
const typed = ref('')
watch(own, text => {
  const others = tasks.value.filter(t => t.name !== typed.value)
  const name = text.trim()
  typed.value = others.some(t => t.name === name) ? '' : name
  tasks.value = typed.value ? [...others, { name, needs: 'either' }] : others
})
const others = computed(() => tasks.value.filter(t => t.name !== typed.value && !USUAL.some(u => u.name === t.name)))
function add(): void {
  typed.value = ''
  own.value = ''
}
</script>

<template>
  <fieldset class="tasks">
    <legend>{{ t('tasks-field.also-to-do-on-this') }}</legend>
    <div class="keys">
      <Button
        v-for="task in USUAL"
        :key="task.name"
        severity="secondary"
        outlined
        :aria-pressed="has(task.name)"
        @click="toggle(task)"
      >
        <span
          >{{ task.name }}<small>{{ WORDS[task.needs] }}</small></span
        >
      </Button>
      <Button
        v-for="task in others"
        :key="task.name"
        severity="secondary"
        outlined
        aria-pressed="true"
        @click="toggle(task)"
      >
        <span
          >{{ task.name }}<small>{{ WORDS[task.needs] }}</small></span
        >
      </Button>
    </div>
    <div class="own">
      <label for="task-own">{{ t('common.something-else') }}</label><InputText
        id="task-own"
        v-model="own"
        :placeholder="t('common.brake-cable')"
        @keydown.enter.prevent="add"
      /><Button severity="secondary" outlined :disabled="!own.trim()" @click="add">
        {{ t('common.add') }}
      </Button>
    </div>
  </fieldset>
</template>

<style scoped>
.tasks {
  border: 0;
  margin: 0;
  padding: 0;
  display: grid;
  gap: 10px;
}
legend {
  font-size: 16px;
  padding: 0 0 6px;
}
.keys {
  display: flex;
  flex-wrap: wrap;
  gap: 8px;
}
.p-button {
  min-height: 52px;
}
.p-button span {
  display: grid;
  gap: 3px;
  text-align: left;
}
small {
  font: 500 14px/1.1 var(--sentences);
  color: var(--ink2);
}
[aria-pressed='true'] {
  border-color: var(--petrol);
  box-shadow: inset 0 -4px 0 var(--petrol);
}
.own {
  display: flex;
  gap: 10px;
  align-items: center;
  flex-wrap: wrap;
}
.own :deep(input) {
  min-height: 48px;
  width: 220px;
}
label {
  font-size: 16px;
}
</style>
