<script setup lang="ts">
import { computed } from 'vue'
import type { Engine } from '~~/core/engine'
import type { Stop } from '~~/core/stops'
import CycleWheel from '../engine/CycleWheel.vue'

/** A model's wheel at rest: at its first stop, with the cylinder that is done there. */
const props = defineProps<{ engine: Engine; stops: Stop[] }>()
const first = computed(() => props.stops[0])
const cylinderId = computed(
  () =>
    props.engine.valves.find(v => v.id === first.value?.valves[0]?.valveId)?.cylinderId ??
    props.engine.cylinders[0]!.id,
)
</script>

<template>
  <CycleWheel
    :engine="engine"
    :arcs="[]"
    :crank-deg="first?.crankDeg ?? 0"
    :stops="stops"
    :target="null"
    :at-stop="false"
    :feel="[]"
    :cylinder-id="cylinderId"
    at-rest
  />
</template>
