<script setup lang="ts">
import { computed } from 'vue'
import { engraving, leavesOf } from '~~/core/feeler'
import { type JobView, setInHand } from '~~/core/job'
import { t } from '../../../words'
import PanelFrame from './PanelFrame.vue'

/** The shop's blade sets: which is in hand for the next trials. Trials made keep the set that they were made with. */
const props = defineProps<{ view: JobView }>()
defineEmits<{ choose: [set: string]; back: [] }>()
const inHand = computed(() => setInHand(props.view).name)
const sets = computed(() =>
  [props.view.pin.bladeSet, ...props.view.pin.otherSets].map(set => {
    const leaves = leavesOf(set)
    const doubtful = set.blades.filter(b => b.condition !== 'good')
    return {
      name: set.name,
      range: t('sets-panel.thicknesses-to', {
        leaves: leaves.length,
        thinnest: engraving(leaves[0]?.engravedMm ?? 0, set.unit),
        thickest: engraving(leaves.at(-1)?.engravedMm ?? 0, set.unit),
        unit: set.unit,
      }),
      faults: doubtful.map(b => `${engraving(b.mm, set.unit)} ${t(`blade.${b.condition}`)}`).join(', '),
    }
  }),
)
</script>

<template>
  <PanelFrame :title="t('sets-panel.blades-in-hand')" :label="t('common.blade-sets')" @back="$emit('back')">
    <button
      v-for="s in sets"
      :key="s.name"
      type="button"
      class="key pick"
      :class="{ chosen: s.name === inHand }"
      :aria-pressed="s.name === inHand"
      @click="$emit('choose', s.name)"
    >
      <b
        >{{ s.name }}<small v-if="s.name === inHand">{{ t('sets-panel.in-hand') }}</small></b
      ><span>{{ s.range }}</span
      ><span v-if="s.faults">{{ s.faults }}</span>
    </button>
    <p class="note">{{ t('sets-panel.sets-are-kept-on-the') }}</p>
  </PanelFrame>
</template>
