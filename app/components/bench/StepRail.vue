<script setup lang="ts">
import Button from 'primevue/button'
import type { Step, StepState } from '~~/core/job'
import { t, tell } from '../../words'

/** The six steps with where each stands, and the danger that belongs to the present one. */
defineProps<{ steps: StepState[]; caution: string; acknowledged: boolean }>()
defineEmits<{ acknowledge: [] }>()
const NAMES: Record<Step, string> = {
  ready: t('step-rail.ready'),
  find: t('step-rail.find'),
  measure: t('step-rail.measure'),
  set: t('step-rail.set'),
  prove: t('step-rail.prove'),
  close: t('step-rail.close'),
}
</script>

<template>
  <nav class="rail" :aria-label="t('step-rail.steps')">
    <ol>
      <li
        v-for="step in steps"
        :key="step.step"
        :class="['step', step.state]"
        :aria-current="step.state === 'active' ? 'step' : undefined"
        :data-step="step.step"
      >
        <svg width="22" height="22" viewBox="0 0 22 22" aria-hidden="true">
          <circle
            cx="11"
            cy="11"
            r="9"
            fill="none"
            :stroke="
              step.state === 'active' ? 'var(--on-petrol)' : step.state === 'done' ? 'var(--petrol)' : 'var(--edge)'
            "
            stroke-width="2"
          />
          <path
            v-if="step.state === 'done'"
            d="M 6.5 11.4 L 10 14.6 L 15.6 7.8"
            fill="none"
            stroke="var(--petrol)"
            stroke-width="2.4"
          />
          <circle v-if="step.state === 'active'" cx="11" cy="11" r="4.2" fill="var(--on-petrol)" />
        </svg>
        <span
          ><span class="name">{{ NAMES[step.step] }}</span
          ><span class="words">{{ tell(step.words) }}</span></span
        >
      </li>
    </ol>
    <div class="caution" :class="{ acknowledged }">
      <svg width="26" height="26" viewBox="0 0 26 26" aria-hidden="true">
        <circle cx="13" cy="13" r="12.5" fill="var(--ink)" />
        <path d="M 13 6 V 14.5" stroke="var(--sheet)" stroke-width="3.2" stroke-linecap="round" />
        <circle cx="13" cy="19.3" r="1.9" fill="var(--sheet)" />
      </svg>
      <div>
        <p>{{ caution }}</p>
        <Button v-if="!acknowledged" link @click="$emit('acknowledge')">
          {{ t('step-rail.understood') }} <kbd>C</kbd>
        </Button>
      </div>
    </div>
  </nav>
</template>

<style scoped>
.rail {
  border-right: 1.5px solid var(--ink);
  display: grid;
  grid-template-rows: auto 1fr;
  min-height: 0;
}
ol {
  list-style: none;
  margin: 0;
  padding: 0;
}
.step {
  position: relative;
  height: 60px;
  display: grid;
  grid-template-columns: 22px 1fr;
  gap: 12px;
  align-items: center;
  padding: 0 10px 0 18px;
  border-bottom: 1px solid var(--line);
}
.name {
  display: block;
  font: 600 19px/1.1 var(--figures);
}
.words {
  display: block;
  font-size: 14.5px;
  color: var(--ink2);
  line-height: 1.2;
  white-space: nowrap;
}
.active {
  background: var(--petrol);
  color: var(--on-petrol);
}
.active .words {
  color: var(--on-petrol);
}
.active::after {
  content: '';
  position: absolute;
  right: -1px;
  top: 50%;
  translate: 0 -50%;
  border: 10px solid transparent;
  border-right-color: var(--ground);
  border-left: 0;
}
.caution {
  align-self: end;
  display: grid;
  grid-template-columns: 26px 1fr;
  gap: 10px;
  padding: 12px 14px 14px 18px;
  font-size: 15px;
  line-height: 1.3;
}
.caution p {
  color: var(--ink);
}
.caution.acknowledged p {
  color: var(--ink2);
}
.caution .p-button {
  padding: 6px 0 0;
}
.rail {
  min-width: 0;
}
@media (max-width: 1100px) {
  .step {
    height: 54px;
    gap: 8px;
    padding: 0 6px 0 12px;
  }
  .words {
    font-size: 14px;
    overflow: hidden;
    text-overflow: ellipsis;
  }
  .step > span {
    min-width: 0;
  }
  .caution {
    grid-template-columns: 1fr;
    gap: 6px;
    padding: 8px 10px 8px 12px;
    font-size: 14px;
    line-height: 1.22;
  }
  .caution svg {
    width: 20px;
    height: 20px;
  }
}
/* A low window: the steps alone. */
@media (min-width: 901px) and (max-height: 720px) {
  .step {
    height: 44px;
  }
  .words {
    display: none;
  }
}
/* A tablet held upright: one row; the caution stands with the instruction. */
@media (max-width: 900px) {
  nav,
  .rail {
    grid-template-rows: auto;
  }
  ol {
    display: grid;
    grid-template-columns: repeat(6, minmax(0, 1fr));
    border-bottom: 1px solid var(--line);
  }
  .step {
    height: 56px;
    border: 0;
  }
  .words,
  .caution {
    display: none;
  }
  .active::after {
    display: none;
  }
}
</style>
