<script setup lang="ts">
import { NuxtLink } from '#components'
import { t } from '../../words'

/** The Bench's title line: which machine, and the few facts that are always wanted. */
defineProps<{
  machine: string
  about: string
  head: string
  revision: string
  saved: { word: string; tone: 'ok' | 'wait' | 'stop' }
  stepWords: string
  big: boolean
  stark: boolean
}>()
defineEmits<{ help: []; big: []; stark: [] }>()
</script>

<template>
  <header class="bench-header">
    <NuxtLink to="/" class="brand" :aria-label="t('bench-header.wembric-to-the-bay')"
      ><img src="/mark.svg" alt="" width="24" height="24" /><b>Wembric</b></NuxtLink
    >
    <NuxtLink to="/" class="back" :aria-label="t('common.to-the-bay')">‹</NuxtLink>
    <div class="machine">
      <b>{{ machine }}</b><span>{{ about }}</span>
    </div>
    <div class="facts">
      <span class="fact"
        >{{ t('common.head') }} <b>{{ head }}</b></span
      >
      <span class="fact"
        >{{ t('common.spec') }} <b>{{ revision }}</b></span
      >
      <span class="fact saved" :class="saved.tone" role="status" data-testid="saved">{{ saved.word }}</span>
      <NuxtLink to="/" class="fact nav">{{ t('common.bay') }} <kbd>B</kbd></NuxtLink>
      <button type="button" class="fact nav" @click="$emit('help')">{{ t('bench-header.help') }} <kbd>?</kbd></button>
    </div>
    <span class="phone-step">{{ stepWords }}</span>
    <div class="looks">
      <button type="button" class="look" :aria-pressed="big" :title="t('bench-header.big')" @click="$emit('big')">
        <span aria-hidden="true" class="letters">A<b>A</b></span
        ><span class="hidden-words">{{ t('bench-header.big') }}</span></button
      ><button
        type="button"
        class="look"
        :aria-pressed="stark"
        :title="t('bench-header.stark')"
        @click="$emit('stark')"
      >
        <svg width="22" height="22" viewBox="0 0 22 22" aria-hidden="true">
          <circle cx="11" cy="11" r="9" fill="none" stroke="currentColor" stroke-width="2" />
          <path d="M 11 2 A 9 9 0 0 1 11 20 Z" fill="currentColor" />
        </svg>
        <span class="hidden-words">{{ t('bench-header.stark') }}</span>
      </button>
    </div>
  </header>
</template>

<style scoped>
.bench-header {
  display: grid;
  grid-template-columns: 164px minmax(0, 1fr) auto auto;
  align-items: center;
  padding: 0 20px;
  border-bottom: 1.5px solid var(--ink);
  gap: 0;
  font-family: var(--figures);
}
.brand {
  display: flex;
  align-items: center;
  gap: 9px;
  font-size: 21px;
  color: var(--ink);
  text-decoration: none;
}
.back,
.phone-step {
  display: none;
}
.machine {
  display: flex;
  gap: 12px;
  align-items: center;
  min-width: 0;
  white-space: nowrap;
  overflow: hidden;
}
.machine b {
  font-size: 21px;
  font-weight: 600;
}
.machine span {
  font: 400 16px/1 var(--sentences);
  line-height: 1.15;
  color: var(--ink2);
  white-space: normal;
}
.facts {
  display: flex;
  gap: 20px;
  align-items: center;
}
.fact {
  font-size: 16px;
  font-weight: 500;
  color: var(--ink2);
  white-space: nowrap;
}
.fact b {
  color: var(--ink);
  font-weight: 700;
}
.nav {
  background: none;
  border: 0;
  padding: 8px 0;
  cursor: pointer;
  text-decoration: none;
  min-height: 44px;
  display: inline-flex;
  align-items: center;
  gap: 6px;
}
/* two looks of the screen, each a tap away: they lie close, for both are taken back by the same tap */
.looks {
  display: flex;
  margin-left: 14px;
}
.look {
  min-width: 44px;
  min-height: 44px;
  display: inline-grid;
  place-items: center;
  border: 0;
  border-radius: 8px;
  background: none;
  color: var(--ink2);
  cursor: pointer;
}
.look[aria-pressed='true'] {
  color: var(--petrol);
  box-shadow: inset 0 -3px 0 var(--petrol);
}
.letters {
  font: 600 14px/1 var(--figures);
}
.letters b {
  font-size: 21px;
}
.saved {
  font-weight: 600;
}
.saved.ok {
  color: var(--petrol);
}
.saved.ok::before {
  content: '✓ ';
}
.saved.wait {
  color: var(--ink);
}
.saved.wait::before {
  content: '… ';
}
.saved.stop {
  color: var(--alarm);
}
.saved.stop::before {
  content: '! ';
}
@media (max-width: 1100px) {
  .bench-header {
    grid-template-columns: 130px minmax(0, 1fr) auto auto;
  }
  .machine span {
    display: none;
  }
  .facts {
    gap: 14px;
  }
}
@media (max-width: 700px) {
  .bench-header {
    grid-template: auto auto / 40px minmax(0, 1fr) auto auto;
    align-content: center;
    column-gap: 6px;
    padding: 0 6px;
  }
  .brand,
  .fact:not(.saved) {
    display: none;
  }
  .back {
    display: grid;
    place-items: center;
    font-size: 34px;
    line-height: 1;
    color: var(--ink);
    text-decoration: none;
    min-height: 48px;
  }
  .machine b {
    font-size: 19px;
    overflow: hidden;
    text-overflow: ellipsis;
  }
  .facts {
    justify-self: end;
  }
  .saved {
    max-width: 132px;
    white-space: normal;
    text-align: right;
    font-size: 15px;
    line-height: 1.15;
  }
  .phone-step {
    display: block;
    grid-area: 2 / 3;
    justify-self: end;
    font-size: 15px;
    line-height: 1.15;
    color: var(--ink2);
    white-space: nowrap;
  }
  .back,
  .machine,
  .looks {
    grid-row: 1 / 3;
  }
  /* what waits or went wrong takes both lines: the step is told by the question too */
  .facts:has(.wait, .stop) {
    grid-row: 1 / 3;
  }
  .facts:has(.wait, .stop) + .phone-step {
    display: none;
  }
  .looks {
    grid-column: 4;
    margin-left: 4px;
  }
  .look {
    min-width: 40px;
  }
}
</style>
