<script setup lang="ts">
import { computed } from 'vue'
import type { AnswerKey } from '~~/core/job'
import type { Text } from '~~/core/said'
import { useShortcutsOn } from '../../composables/useKeys'
import { useRest } from '../../composables/useRest'
import { t, tell } from '../../words'
import GlossedText from '../shell/GlossedText.vue'
import PlugLook from './PlugLook.vue'

/** The one next thing, why, and its answers. */
const props = defineProps<{
  label: Text
  instruction: Text
  why: Text
  keys: Pick<AnswerKey, 'title' | 'help' | 'drawing'>[]
  passable: boolean
}>()
const asked = computed(() => tell(props.instruction))
const { resting, unlessResting } = useRest(() => asked.value)
const emit = defineEmits<{ press: [index: number]; pass: [] }>()
const shortcutsOn = useShortcutsOn()
/** What was asked when a finger came down: lifted on another question, it has answered neither. */
let downOn = ''
const down = () => {
  downOn = asked.value
}
function pressed(index: number, { detail }: MouseEvent): void {
  // a click without a pointer, by Enter or the space bar, has no way to it
  if (detail > 0 && downOn !== '' && downOn !== asked.value) return
  unlessResting(() => emit('press', index))
}
</script>

<template>
  <div class="next">
    <div class="top">
      <p class="label">{{ tell(label) }}</p>
      <button
        v-if="passable"
        type="button"
        class="pass"
        :aria-keyshortcuts="shortcutsOn ? 'G' : undefined"
        @click="$emit('pass')"
      >
        {{ t('answer-panel.skip-say-why') }} <kbd>G</kbd>
      </button>
    </div>
    <h1 :class="{ long: asked.length > 40 }" data-testid="instruction">{{ asked }}</h1>
    <slot
      ><p class="why"><GlossedText :text="tell(why)" /></p
    ></slot>
  </div>
  <div class="keys" role="group" :aria-label="t('answer-panel.answers')">
    <button
      v-for="(k, i) in keys"
      :key="i"
      type="button"
      class="key"
      :data-key="i + 1"
      :aria-disabled="resting"
      :aria-keyshortcuts="shortcutsOn ? String(i + 1) : undefined"
      @pointerdown="down"
      @click="pressed(i, $event)"
    >
      <span class="digit" aria-hidden="true">{{ i + 1 }}</span>
      <span class="text"
        ><span class="title">{{ tell(k.title) }}</span
        ><span class="help">{{ tell(k.help) }}</span></span
      ><PlugLook v-if="k.drawing" :drawing="k.drawing" class="drawing" />
    </button>
  </div>
</template>

<style scoped>
.top {
  display: flex;
  justify-content: space-between;
  align-items: start;
  gap: 10px;
  margin-top: -6px;
}
.pass {
  background: none;
  border: 0;
  padding: 6px 0 6px 12px;
  min-height: 44px;
  margin-block: -6px;
  font: 600 15px/1.2 var(--figures);
  color: var(--ink2);
  cursor: pointer;
  white-space: nowrap;
  text-decoration: underline;
  text-underline-offset: 3px;
}
.label {
  padding-top: 6px;
  font: 600 15px/1.2 var(--figures);
  color: var(--petrol);
}
h1 {
  font-size: 34px;
  line-height: 36px;
  margin-top: 4px;
  text-wrap: balance;
}
h1.long {
  font-size: 28px;
  line-height: 31px;
}
.why {
  font-size: 17px;
  line-height: 22px;
  color: var(--ink2);
  margin: 8px 0 12px;
}
.keys {
  display: grid;
  gap: 9px;
  align-content: start;
}
.key {
  grid-template-columns: 40px 1fr;
  height: auto;
  min-height: 70px;
  align-items: stretch;
  width: 100%;
}
.digit {
  display: grid;
  place-items: center;
  border-right: 1px solid var(--line);
  color: var(--petrol);
  font: 600 22px/1 var(--figures);
}
.text {
  padding: 0 16px;
  align-self: center;
  min-width: 0;
}
.key:has(.drawing) {
  grid-template-columns: 40px 1fr auto;
}
.drawing {
  align-self: center;
  margin-right: 14px;
}
.title {
  display: block;
  font: 600 23px/1.15 var(--figures);
}
.help {
  display: block;
  font-size: 15px;
  color: var(--ink2);
  line-height: 1.2;
}
@media (max-height: 830px) and (min-width: 701px) {
  .keys {
    gap: 7px;
  }
  .key {
    min-height: 63px;
  }
}
@media (max-height: 720px) and (min-width: 901px) {
  h1 {
    font-size: 28px;
    line-height: 30px;
  }
  .why {
    font-size: 16px;
    line-height: 20px;
    margin-block: 6px 8px;
  }
  .key {
    height: auto;
    min-height: 52px;
  }
  .title {
    font-size: 20px;
  }
}
@media (max-width: 700px) {
  h1 {
    font-size: 28px;
    line-height: 30px;
  }
  h1.long {
    font-size: 24px;
    line-height: 26px;
  }
  .why {
    font-size: 16px;
    line-height: 20px;
    margin-block: 6px 0;
  }
  .keys {
    grid-template-columns: 1fr 1fr;
    gap: 10px;
  }
  .key {
    grid-template-columns: 1fr;
    height: auto;
    min-height: 76px;
  }
  .digit {
    display: none;
  }
  .key:has(.drawing) {
    grid-template-columns: 1fr auto;
  }
  .drawing {
    margin-right: 8px;
  }
  .title {
    font-size: 21px;
  }
  .text {
    padding: 8px 14px;
  }
}
/* read from two meters: what is to be done, and the answers; why, and what a key means, may be asked for nearer by */
:global(.big .bench .next h1) {
  font-size: 46px !important;
  line-height: 1.05 !important;
}
:global(.big .bench .keys .title) {
  font-size: 32px;
}
:global(.big .bench .next .why),
:global(.big .bench .keys .help) {
  display: none;
}
@media (min-width: 1101px) {
  :global(.big .bench .next h1) {
    font-size: 58px !important;
  }
  :global(.big .bench) {
    grid-template-columns: 184px minmax(0, 1fr) min(42vw, 540px) !important;
  }
}
</style>
