<script setup lang="ts">
import Button from 'primevue/button'
import { useShortcutsOn } from '../../composables/useKeys'
import { useRest } from '../../composables/useRest'
import { t } from '../../words'

/** The last answer, and the ways on from the keys. In Find it also leads to what else was seen, and to the reasons. */
const props = defineProps<{ last: string; finding: boolean; canUndo: boolean }>()
const emit = defineEmits<{ show: [panel: 'evidence' | 'reasons' | 'more']; undo: [] }>()
const shortcutsOn = useShortcutsOn()
const keys = (key: string) => (shortcutsOn.value ? key : undefined)
const { resting, unlessResting } = useRest(() => props.last)
</script>

<template>
  <footer class="foot" :class="{ finding }">
    <p>
      <b>{{ t('bench-foot.last') }}</b> {{ last }}
    </p>
    <template v-if="finding">
      <Button severity="secondary" outlined title="E" :aria-keyshortcuts="keys('E')" @click="$emit('show', 'evidence')">
        {{ t('common.something-else') }}
      </Button>
      <Button
        severity="secondary"
        outlined
        title="W"
        :aria-keyshortcuts="keys('W')"
        @click="$emit('show', 'reasons')"
        >{{ t('bench-foot.why') }}</Button
      >
    </template>
    <Button severity="secondary" outlined :aria-keyshortcuts="keys('M')" @click="$emit('show', 'more')"
      >{{ t('common.more') }} <kbd>M</kbd></Button
    >
    <Button
      severity="secondary"
      outlined
      :disabled="!canUndo"
      :aria-disabled="!canUndo || resting"
      :aria-keyshortcuts="keys('U')"
      data-testid="undo"
      @click="unlessResting(() => emit('undo'))"
    >
      {{ t('common.undo') }} <kbd>U</kbd>
    </Button>
  </footer>
</template>

<style scoped>
.foot {
  align-self: end;
  border-top: 1px solid var(--line);
  margin-top: 10px;
  padding-top: 12px;
  display: grid;
  grid-template-columns: minmax(0, 1fr) auto auto;
  gap: 10px;
  align-items: center;
}
p {
  font-size: 15.5px;
  line-height: 1.25;
  color: var(--ink2);
  overflow: hidden;
  display: -webkit-box;
  -webkit-line-clamp: 2;
  line-clamp: 2;
  -webkit-box-orient: vertical;
}
b {
  color: var(--ink);
}
.finding {
  grid-template-columns: 1.4fr 0.8fr 0.9fr 0.9fr;
  gap: 5px 6px;
  margin-top: 6px;
  padding-top: 5px;
}
.finding p {
  grid-column: 1 / -1;
  -webkit-line-clamp: 1;
  line-clamp: 1;
  line-height: 1.15;
}
.finding .p-button {
  padding: 0 8px;
  font-size: 15px;
  justify-content: center;
  gap: 5px;
  white-space: normal;
  overflow-wrap: anywhere;
}
/* four in a row have no room for their letters: they are in the help, and told to who hears the page */
.finding kbd {
  display: none;
}
@media (max-width: 1100px) {
  .finding .p-button {
    padding: 0 4px;
    font-size: 14px;
  }
}
@media (max-height: 790px) and (min-width: 701px) {
  .finding p {
    display: none;
  }
}
@media (max-width: 700px) {
  .foot {
    align-self: stretch;
    margin: 0;
    border: 0;
    padding: 8px 16px;
    height: 61px;
    grid-template-columns: minmax(0, 1fr) auto auto;
  }
  .finding {
    height: 86px;
    grid-template-columns: 1.5fr 1fr 1fr 1fr;
  }
  .finding .p-button {
    min-height: 48px;
  }
}
</style>
