<script setup lang="ts">
import Button from 'primevue/button'
import { computed, ref } from 'vue'
import { type Happening, type JobView, settingOn, wrenchInHand } from '~~/core/job'
import { scaleWords } from '~~/core/torque'
import { formatTorque } from '~~/core/units'
import { t, tell } from '../../../words'
import PanelFrame from './PanelFrame.vue'

/**
 * The torque wrench in hand and what stands in line with it, with what to set it to. One that cannot be set so is not
 * taken.
 */
const props = defineProps<{ view: JobView }>()
const emit = defineEmits<{ record: [happening: Happening]; back: [] }>()
const nm = computed(() => props.view.pin.spec.engine.torques.locknutNm)
const held = computed(() => wrenchInHand(props.view))
const adapter = ref<string | null>(held.value.adapter?.name ?? null)
const wrong = ref('')
const wrenches = computed(() =>
  props.view.pin.wrenches.map(w => {
    const setting = nm.value === null ? null : settingOn(props.view, nm.value, w.name, adapter.value)
    return {
      name: w.name,
      scale: scaleWords(w),
      set: setting && !setting.refused ? t('wrench-panel.set-to', { words: setting.words }) : '',
      doubts: (setting?.doubts ?? []).map(tell),
      refused: setting?.refused ?? null,
    }
  }),
)
function take(w: (typeof wrenches.value)[number]): void {
  if (w.refused) wrong.value = tell(w.refused)
  else emit('record', { type: 'wrench-taken', payload: { wrench: w.name, adapter: adapter.value } })
}
function choose(name: string | null): void {
  adapter.value = name
  wrong.value = ''
}
</script>

<template>
  <PanelFrame :title="t('common.torque-wrench')" :label="t('wrench-panel.wrenches-and-adapters')" @back="$emit('back')">
    <p class="note">
      {{
        t('wrench-panel.in-line-with-the-wrench', {
          nm:
            nm === null
              ? t('wrench-panel.the-spec-gives-no-locknut')
              : t('wrench-panel.locknut', { nm: formatTorque(nm) }),
        })
      }}
    </p>
    <div class="line" role="group" :aria-label="t('common.adapter')">
      <Button severity="secondary" outlined :aria-pressed="adapter === null" @click="choose(null)">
        {{ t('wrench-panel.nothing') }}
      </Button>
      <Button
        v-for="a in view.pin.adapters"
        :key="a.name"
        severity="secondary"
        outlined
        :aria-pressed="adapter === a.name"
        @click="choose(a.name)"
      >
        {{ a.name }}
      </Button>
    </div>
    <p v-if="wrong" class="wrong" role="alert">{{ wrong }}</p>
    <button
      v-for="w in wrenches"
      :key="w.name"
      type="button"
      class="key pick"
      :class="{ chosen: held.wrench?.name === w.name }"
      :aria-pressed="held.wrench?.name === w.name"
      :data-wrench="w.name"
      @click="take(w)"
    >
      <b
        >{{ w.name }}<small>{{ w.set || w.scale }}</small></b
      ><span v-for="d in w.doubts" :key="d">! {{ d }}</span
      ><span v-if="w.set">{{ t('wrench-panel.scale', { scale: w.scale }) }}</span>
    </button>
    <p v-if="wrenches.length === 0" class="note">{{ t('wrench-panel.no-torque-wrench-on-the') }}</p>
    <Button
      v-if="held.wrench"
      severity="secondary"
      outlined
      @click="emit('record', { type: 'wrench-taken', payload: { wrench: null, adapter: null } })"
    >
      {{ t('wrench-panel.by-hand-no-torque-wrench') }}
    </Button>
  </PanelFrame>
</template>

<style scoped>
.line {
  display: flex;
  flex-wrap: wrap;
  gap: 6px;
}
.line .p-button[aria-pressed='true'] {
  background: var(--petrol);
  border-color: var(--petrol);
  color: var(--on-petrol);
}
</style>
