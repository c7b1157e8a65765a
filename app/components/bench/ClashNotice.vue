<script setup lang="ts">
import type { ClashWords } from '~~/core/job'

/** Answers that cannot all be so, side by side, with the offer to look again at the one that costs least. */
defineProps<{ clash: ClashWords }>()
defineEmits<{ retract: [eventId: string] }>()
</script>

<template>
  <section class="clash notices" role="alert" aria-label="Answers that cannot all be so" data-testid="clash">
    <h2>These cannot {{ clash.against.length > 1 ? 'all' : 'both' }} be so</h2>
    <ul>
      <li><span><small>now</small>{{ clash.newest }}</span><button type="button" class="quiet" :aria-label="`Take back: ${clash.newest}`" @click="$emit('retract', clash.newestId)">Take back</button></li>
      <li v-for="fact in clash.against.slice(0, 2)" :key="fact.id"><span><small>before</small>{{ fact.words }}</span><button type="button" class="quiet" :aria-label="`Take back: ${fact.words}`" @click="$emit('retract', fact.id)">Take back</button></li>
    </ul>
    <p v-if="clash.against.length > 2">and {{ clash.against.length - 2 }} more: it hangs together only without the newest.</p>
    <p>{{ clash.lookAgain }}</p>
  </section>
</template>

<style scoped>
.clash { border: 1.5px solid var(--ink); border-left-width: 6px; background: var(--white); padding: 8px 12px 10px; margin-bottom: 12px; }
h2 { font-size: 18px; line-height: 1.2; }
ul { list-style: none; margin: 4px 0 6px; padding: 0; }
li { display: flex; justify-content: space-between; align-items: center; gap: 10px; padding: 4px 0; border-bottom: 1px solid var(--line); font: 600 16.5px/1.2 var(--figures); }
small { display: block; font: 400 13.5px/1.2 var(--sentences); color: var(--ink2); }
.quiet { min-height: 44px; flex: none; }
p { font-size: 15px; line-height: 1.3; color: var(--ink2); }
</style>
