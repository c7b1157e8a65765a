<script setup lang="ts">
import { computed } from 'vue'
import { engraving, leavesOf } from '~~/core/feeler'
import { type JobView, setInHand } from '~~/core/job'
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
      range: `${leaves.length} thicknesses, ${engraving(leaves[0]?.engravedMm ?? 0, set.unit)} to ${engraving(leaves.at(-1)?.engravedMm ?? 0, set.unit)} ${set.unit}`,
      faults: doubtful.map(b => `${engraving(b.mm, set.unit)} ${b.condition}`).join(', '),
    }
  }),
)
</script>

<template>
  <PanelFrame title="Blades in hand" label="Blade sets" @back="$emit('back')">
    <button
      v-for="s in sets"
      :key="s.name"
      type="button"
      class="key pick"
      :class="{ chosen: s.name === inHand }"
      :aria-pressed="s.name === inHand"
      @click="$emit('choose', s.name)"
    >
      <b>{{ s.name }}<small v-if="s.name === inHand">in hand</small></b
      ><span>{{ s.range }}</span
      ><span v-if="s.faults">{{ s.faults }}</span>
    </button>
    <p class="note">Sets are kept on the Shelf. This job uses them as they were when you opened it.</p>
  </PanelFrame>
</template>
