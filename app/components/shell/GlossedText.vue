<script setup lang="ts">
import Popover from 'primevue/popover'
import { computed, nextTick, ref } from 'vue'
import { t } from '../../words'
import { glossed, type Term } from './glossary'
import GlossaryPicture from './GlossaryPicture.vue'

/** A sentence whose terms of the trade can be tapped: what each means, with a picture. */
const props = defineProps<{ text: string }>()
const pieces = computed(() => glossed(props.text))
const shown = ref<Term | null>(null)
const popover = ref<InstanceType<typeof Popover> | null>(null)
async function show(event: Event, term: Term): Promise<void> {
  shown.value = term
  await nextTick()
  popover.value?.show(event)
}
</script>

<template>
  <span
    ><template v-for="(p, i) in pieces" :key="i"
      ><button v-if="p.term" type="button" class="term" @click="show($event, p.term)">
        {{ p.text }}</button
      ><template v-else>{{ p.text }}</template></template
    ><Popover ref="popover" :pt="{ root: { 'aria-label': shown ? t(`glossary.${shown}`) : undefined } }">
      <div v-if="shown" class="card" data-testid="term">
        <GlossaryPicture :term="shown" />
        <p>
          <b>{{ t(`glossary.${shown}`) }}</b> {{ t(`glossary.${shown}.says`) }}
        </p>
        <a class="quiet" :href="`/glossary#${shown}`">{{ t('glossary.all') }}</a>
      </div>
    </Popover></span
  >
</template>

<style scoped>
.term {
  all: unset;
  cursor: pointer;
  text-decoration: underline dotted 1.5px;
  text-underline-offset: 4px;
}
.term:focus-visible {
  outline: 2px solid var(--petrol);
  outline-offset: 2px;
}
.card {
  display: grid;
  gap: 10px;
  max-width: 320px;
}
.card p {
  margin: 0;
}
</style>
