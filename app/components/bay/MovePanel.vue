<script setup lang="ts">
import { computed } from 'vue'
import type { BayCard, BayResponse } from '~~/shared/responses'

/** Moves a card without dragging: to a person, sooner or later. */
const props = defineProps<{ card: BayCard, crew: BayResponse['crew'], among: BayCard[] }>()
const emit = defineEmits<{ place: [personId: number | null, beforeJobId: number | null], done: [] }>()
const index = computed(() => props.among.findIndex(c => c.jobId === props.card.jobId))
const sooner = () => emit('place', props.card.assigned?.id ?? null, props.among[index.value - 1]!.jobId)
const later = () => emit('place', props.card.assigned?.id ?? null, props.among[index.value + 2]?.jobId ?? null)
</script>

<template>
  <div class="move" role="group" :aria-label="`Whose is ${card.machine}?`">
    <button v-for="p in crew" :key="p.id" type="button" class="quiet" :class="{ here: card.assigned?.id === p.id }" :aria-pressed="card.assigned?.id === p.id" @click="emit('place', p.id, null)">{{ p.name }}</button>
    <button type="button" class="quiet" :class="{ here: !card.assigned }" :aria-pressed="!card.assigned" @click="emit('place', null, null)">Nobody yet</button>
    <button type="button" class="quiet" :disabled="index <= 0" @click="sooner">Sooner</button><button type="button" class="quiet" :disabled="index < 0 || index >= among.length - 1" @click="later">Later</button>
    <button type="button" class="link" @click="emit('done')">Leave it</button>
  </div>
</template>

<style scoped>
.move { display: flex; flex-wrap: wrap; gap: 8px; padding-top: 10px; } .here { background: var(--petrol); color: var(--on-petrol); border-color: var(--petrol); } .quiet:disabled { opacity: .5; }
</style>
