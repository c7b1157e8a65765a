<script setup lang="ts">
import Button from 'primevue/button'
import { computed, ref, watch } from 'vue'
import { inSafeOrder, type Part, plainPart, SAFE_THINGS, type SafeThing } from '~~/core/access'
import { MACHINE_KINDS, type MachineKind, machineKind, usualParts, usualSafeThings } from '~~/core/access/usual-parts'
import type { Engine } from '~~/core/engine'
import type { LearnedParts } from '~~/core/job/learned-parts'
import { t } from '../../../words'
import ChoiceField from '../../forms/ChoiceField.vue'
import PartForm from './PartForm.vue'

/**
 * What comes off, one by one and in order, and what is made safe before: begun with the usual list of such a machine.
 */
const parts = defineModel<Part[] | undefined>('parts', { required: true })
const safe = defineModel<SafeThing[] | undefined>('safe', { required: true })
const props = defineProps<{ engine: Engine | null; kind: string; learned?: LearnedParts | null | undefined }>()

const kind = ref<MachineKind>(machineKind(props.kind) ?? 'mower')
watch(
  () => props.kind,
  word => {
    kind.value = machineKind(word) ?? kind.value
  },
)
const kinds = MACHINE_KINDS.map(value => ({ value, label: t('parts-fields.kind', { kind: value }) }))
/** The part whose form is open. */
const open = ref<number | null>(null)
/** What is typed in the open form cannot be read: it stays open, for closing it would lose that. */
const unread = ref(false)
const refused = ref(false)
watch(unread, () => (refused.value = false))
/** @returns whether another part may be turned to */
function mayTurn(): boolean {
  refused.value = unread.value
  return !unread.value
}
function show(i: number): void {
  if (mayTurn()) open.value = open.value === i ? null : i
}
const all = computed(() => parts.value ?? [])

function takeUsual(): void {
  if (!props.engine) return
  parts.value = usualParts(kind.value, props.engine, (what, cylinder) => t('usual-part', { what, cylinder }))
  safe.value = usualSafeThings(kind.value)
  open.value = null
}
function takeLearned(): void {
  if (props.learned) parts.value = props.learned.parts
  open.value = null
}
const toggle = (thing: SafeThing) => {
  const now = safe.value ?? []
  safe.value = inSafeOrder(now.includes(thing) ? now.filter(x => x !== thing) : [...now, thing])
}
function add(): void {
  if (!mayTurn()) return
  parts.value = [...all.value, plainPart('')]
  open.value = all.value.length
}
function change(i: number, part: Part): void {
  parts.value = all.value.map((p, n) => (n === i ? part : p))
}
function drop(i: number): void {
  if (open.value !== i && !mayTurn()) return
  const left = all.value.filter((_, n) => n !== i)
  parts.value = left.length ? left : undefined
  if (open.value === i) open.value = null
  else if (open.value !== null && open.value > i) open.value--
}
function move(i: number, by: -1 | 1): void {
  if (!mayTurn()) return
  const next = [...all.value]
  const [part] = next.splice(i, 1)
  next.splice(i + by, 0, part!)
  parts.value = next
  if (open.value === i) open.value = i + by
  else if (open.value === i + by) open.value = i
}
</script>

<template>
  <div class="parts" data-field="parts">
    <div class="usual">
      <ChoiceField v-model="kind" :label="t('parts-fields.kind-of-machine')" :options="kinds" />
      <Button
        severity="secondary"
        outlined
        :disabled="!engine"
        :label="all.length ? t('parts-fields.begin-again') : t('parts-fields.begin-with-the-usual')"
        @click="takeUsual"
      />
      <Button
        v-if="learned"
        :label="t('parts-fields.begin-with-the-job', { number: learned.jobNumber, count: learned.parts.length })"
        @click="takeLearned"
      />
    </div>
    <fieldset>
      <legend>{{ t('parts-fields.made-safe-first') }}</legend>
      <div class="keys">
        <Button
          v-for="thing in SAFE_THINGS"
          :key="thing"
          severity="secondary"
          outlined
          :aria-pressed="safe?.includes(thing) ?? false"
          :label="t('safe-thing', { thing, live: false })"
          @click="toggle(thing)"
        />
      </div>
    </fieldset>
    <p class="note">{{ t('parts-fields.in-the-order') }}</p>
    <ol v-if="all.length">
      <li v-for="(part, i) in all" :key="i">
        <div class="row">
          <button type="button" class="name" :aria-expanded="open === i" @click="show(i)">
            <b>{{ part.name || t('parts-fields.new-part') }}</b>
            <small>{{ t('list-stage.part', { ...part, seal: part.seal?.kind ?? null }) }}</small>
          </button>
          <Button
            link
            :disabled="i === 0"
            :label="t('parts-fields.sooner')"
            :aria-label="t('parts-fields.comes-off-sooner', { name: part.name })"
            @click="move(i, -1)"
          /><Button
            link
            :disabled="i === all.length - 1"
            :label="t('parts-fields.later')"
            :aria-label="t('parts-fields.comes-off-later', { name: part.name })"
            @click="move(i, 1)"
          /><Button
            link
            :label="t('common.remove')"
            :aria-label="t('parts-fields.remove', { name: part.name })"
            @click="drop(i)"
          />
        </div>
        <PartForm
          v-if="open === i"
          :part="part"
          :cylinders="engine?.cylinders ?? []"
          @change="change(i, $event)"
          @unread="unread = $event"
        />
        <p v-if="open === i && refused" class="wrong" role="alert">{{ t('parts-fields.correct-first') }}</p>
      </li>
    </ol>
    <Button severity="secondary" outlined :label="t('parts-fields.add')" @click="add" />
  </div>
</template>

<style scoped>
.parts {
  display: grid;
  gap: 14px;
  justify-items: start;
  padding-bottom: 18px;
}
.usual {
  display: flex;
  flex-wrap: wrap;
  gap: 12px;
  align-items: end;
}
fieldset {
  border: 0;
  margin: 0;
  padding: 0;
}
legend {
  padding: 0 0 6px;
  font-size: 16px;
}
.keys {
  display: flex;
  flex-wrap: wrap;
  gap: 8px;
}
[aria-pressed='true'] {
  border-color: var(--petrol);
  box-shadow: inset 0 -4px 0 var(--petrol);
}
.note {
  color: var(--ink2);
  font-size: 15.5px;
}
ol {
  list-style: none;
  margin: 0;
  padding: 0;
  width: 100%;
}
li {
  border-bottom: 1px solid var(--line);
}
.row {
  display: flex;
  flex-wrap: wrap;
  align-items: center;
  gap: 2px 8px;
}
.name {
  flex: 1 1 200px;
  min-height: 48px;
  padding: 6px 0;
  border: 0;
  background: none;
  color: inherit;
  text-align: left;
  cursor: pointer;
}
b {
  font: 600 18px/1.2 var(--figures);
}
small {
  display: block;
  font-size: 15px;
  color: var(--ink2);
}
</style>
