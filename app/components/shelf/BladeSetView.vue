<script setup lang="ts">
import Button from 'primevue/button'
import { computed, reactive, ref } from 'vue'
import { type Blade, BLADE_CONDITIONS, bladeSetSchema, engraving } from '~~/core/feeler'
import { parseLength } from '~~/core/units'
import type { BladeSetChange, BladeSetRow } from '~~/shared/shelf'
import { wordsFor } from '../../utils/errors'
import { t } from '../../words'
import ChoiceField from '../forms/ChoiceField.vue'
import EndButton from '../forms/EndButton.vue'
import TextField from '../forms/TextField.vue'

/**
 * One blade set: each blade with both units and what is known of it. A tap opens the blade for its measured size and
 * condition.
 */
const props = defineProps<{
  set: BladeSetRow
  mine: boolean
  isLead: boolean
  busy: boolean
  /** Keeps a change of the set. @returns why it was not kept, empty where it was */
  change: (set: BladeSetChange) => Promise<string>
}>()
defineEmits<{ favourite: []; remove: [] }>()
const other = computed(() => (props.set.unit === 'mm' ? ('thou' as const) : ('mm' as const)))
const open = ref<number | null>(null)
const typed = reactive({ measured: '', condition: 'good' as Blade['condition'] | null })
const wrong = ref('')

const note = (b: Blade): string =>
  [
    b.stepMm === null ? '' : t('blade-set-view.steps-to', { stepMm: engraving(b.stepMm, props.set.unit) }),
    b.condition === 'good' ? '' : t(`blade.${b.condition}`),
    b.measuredMm === null ? '' : t('blade-set-view.is', { size: engraving(b.measuredMm, 'mm') }),
  ]
    .filter(Boolean)
    .join(', ')
function look(i: number): void {
  open.value = open.value === i ? null : i
  const blade = props.set.blades[i]!
  Object.assign(typed, {
    measured: blade.measuredMm === null ? '' : String(blade.measuredMm),
    condition: blade.condition,
  })
  wrong.value = ''
}
async function keep(): Promise<void> {
  try {
    const measuredMm = typed.measured.trim() === '' ? null : parseLength(typed.measured, 'mm').mm
    const blades = props.set.blades.map((b, i) =>
      i === open.value ? { ...b, measuredMm, condition: typed.condition ?? 'good' } : b,
    )
    const parsed = bladeSetSchema.safeParse({ name: props.set.name, unit: props.set.unit, blades })
    if (!parsed.success) throw parsed.error
    wrong.value = await props.change({ ...parsed.data, was: props.set.blades })
    if (!wrong.value) open.value = null
  } catch (error) {
    wrong.value = wordsFor(error)
  }
}
</script>

<template>
  <section class="set" :data-set="set.name">
    <header>
      <h3>{{ set.name }}</h3>
      <span class="quietly">{{ set.unit === 'mm' ? t('common.mm-over-thou') : t('common.thou-over-mm') }}</span>
      <Button severity="secondary" outlined :aria-pressed="mine" :disabled="busy" @click="$emit('favourite')">
        {{ mine ? t('blade-set-view.my-set') : t('blade-set-view.make-it-my-set') }}
      </Button>
      <EndButton
        v-if="isLead"
        :disabled="busy"
        :label="t('common.remove')"
        :ask="t('torque-tools.jobs-keep-it', { name: set.name })"
        :aria-label="t('blade-set-view.remove-from-the-shelf', { name: set.name })"
        @end="$emit('remove')"
      />
    </header>
    <div class="blades">
      <button
        v-for="(b, i) in set.blades"
        :key="`${b.mm}/${b.stepMm}`"
        type="button"
        class="blade"
        :class="[b.condition, { open: open === i, measured: b.measuredMm !== null }]"
        :aria-expanded="open === i"
        :aria-label="
          t('blade-set-view.blade-mm-thou', {
            mm: engraving(b.mm, 'mm'),
            thou: engraving(b.mm, 'thou'),
            note: note(b),
          })
        "
        @click="look(i)"
      >
        <b>{{ engraving(b.mm, set.unit) }}</b><small>{{ engraving(b.mm, other) }}</small
        ><i v-if="note(b)">{{ note(b) }}</i>
      </button>
    </div>
    <form v-if="open !== null" class="blade-form" @submit.prevent="keep">
      <TextField
        v-model="typed.measured"
        :label="t('common.by-micrometer-mm')"
        :placeholder="t('blade-set-view.as-engraved')"
        inputmode="decimal"
        :wrong="wrong"
      /><ChoiceField
        v-model="typed.condition"
        :label="t('blade-set-view.the-blade-is')"
        :options="BLADE_CONDITIONS.map(c => ({ value: c, label: t(`blade.${c}`) }))"
      />
      <div class="actions">
        <Button type="submit" :label="t('common.keep')" :loading="busy" /><Button
          severity="secondary"
          outlined
          @click="open = null"
        >
          {{ t('common.cancel') }}
        </Button>
      </div>
    </form>
  </section>
</template>

<style scoped>
.set {
  border-top: 1px solid var(--line);
  padding: 12px 0 4px;
}
header {
  display: flex;
  flex-wrap: wrap;
  gap: 8px 12px;
  align-items: center;
}
h3 {
  font-size: 20px;
}
.quietly {
  color: var(--ink3);
  font-size: 15px;
  margin-right: auto;
}
.p-button[aria-pressed='true'] {
  border-color: var(--petrol);
  color: var(--petrol);
  box-shadow: inset 4px 0 0 var(--petrol);
}
.blades {
  display: flex;
  flex-wrap: wrap;
  gap: 6px;
  padding: 10px 0 6px;
}
.blade {
  min-width: 58px;
  min-height: 64px;
  border: 1.5px solid var(--ink);
  border-radius: 22px 22px 0 0;
  background: var(--white);
  padding: 8px 8px 6px;
  display: grid;
  justify-items: center;
  align-content: start;
  font-family: var(--figures);
  cursor: pointer;
}
.blade b {
  font-size: 18px;
  line-height: 1.15;
}
.blade small {
  font-size: 14.5px;
  color: var(--ink2);
}
.blade i {
  font: 600 14px/1.2 var(--figures);
  max-width: 84px;
  text-align: center;
}
.blade.missing {
  border-style: dashed;
  border-color: var(--edge);
  background: transparent;
  color: var(--ink3);
}
.blade.bent,
.blade.worn {
  background: var(--hatch-ground);
}
.blade.open {
  background: var(--petrol);
  border-color: var(--petrol);
  color: var(--on-petrol);
}
.blade.open small {
  color: inherit;
}
@media (max-width: 700px) {
  /* what can be done with it begins a line of its own, together */
  .quietly {
    flex-basis: 100%;
  }
}
.blade-form {
  display: grid;
  grid-template-columns: repeat(auto-fit, minmax(180px, 1fr));
  gap: 12px 16px;
  align-items: end;
  border: 1.5px solid var(--ink);
  padding: 14px;
  background: var(--sheet);
}
</style>
