<script setup lang="ts">
import Button from 'primevue/button'
import { computed, nextTick, useTemplateRef, watch } from 'vue'
import { type BladeSet, engraving, leavesOf } from '~~/core/feeler'
import { t } from '../../words'

/**
 * The blades of the set in a fan, those to try raised, a stack as several; any other may be chosen. What is missing is
 * dashed, what is bent says so.
 */
const props = defineProps<{
  set: BladeSet
  chosen: number[] | null
  felt: Map<string, string>
  stacking: boolean
  several: boolean
  /** A low row, where another picture has the room. */
  low?: boolean
}>()
defineEmits<{ choose: [engravedMm: number]; stack: []; sets: [] }>()
const MOST = 12
const other = computed(() => (props.set.unit === 'mm' ? ('thou' as const) : ('mm' as const)))
const blades = computed(() =>
  [
    ...leavesOf(props.set).map(l => ({
      mm: l.engravedMm,
      note: l.condition !== 'good' ? l.condition : l.part === 'whole' ? null : l.part,
      gone: false,
    })),
    ...props.set.blades
      .filter(b => b.condition === 'missing')
      .map(b => ({ mm: b.mm, note: 'missing' as const, gone: true })),
  ].sort((a, b) => a.mm - b.mm),
)
/** As many as have room, about the chosen ones. */
const shown = computed(() => {
  const all = blades.value
  const at = (props.chosen ?? []).map(mm => all.findIndex(b => b.mm === mm)).filter(i => i >= 0)
  const middle = at.length ? Math.round((Math.min(...at) + Math.max(...at)) / 2) : Math.floor(all.length / 2)
  const from = Math.max(0, Math.min(middle - Math.floor(MOST / 2), all.length - MOST))
  return all.slice(from, from + MOST)
})
const isChosen = (mm: number): boolean => props.chosen?.includes(mm) ?? false
const tilt = (i: number): number => (i - (shown.value.length - 1) / 2) * 2.1
const lower = (i: number): number => (i - (shown.value.length - 1) / 2) ** 2 * 1.05
// on a narrow screen the fan lies flat and scrolls: the blade to try is brought into view
const list = useTemplateRef<HTMLElement>('list')
watch(
  () => props.chosen,
  async () => {
    await nextTick()
    const chosen = list.value?.querySelector<HTMLElement>('.chosen')
    if (chosen && list.value) list.value.scrollLeft = chosen.offsetLeft - list.value.clientWidth / 2 + 25
  },
  { immediate: true },
)
const stacksFelt = computed(() =>
  [...props.felt]
    .filter(([key]) => key.includes('+'))
    .map(
      ([key, feel]) =>
        `${key
          .split('+')
          .map(t => engraving(Number(t), props.set.unit))
          .join(' + ')} ${feel}`,
    ),
)
/** A blade as a screen reader says it: both of its sizes, what is wrong with it, and how it felt. */
function spoken({ mm, note }: (typeof blades.value)[number]): string {
  const felt = props.felt.get(String(mm))
  const sizes = [`${engraving(mm, 'mm')} mm`, `${engraving(mm, 'thou')} thou`]
  return [...sizes, note && t(`blade.${note}`), felt].filter(Boolean).join(', ')
}
</script>

<template>
  <div class="fan" :class="{ low }">
    <div ref="list" class="blades" role="group" :aria-label="t('blade-fan.blades')">
      <button
        v-for="(blade, i) in shown"
        :key="`${blade.mm}${blade.note}`"
        type="button"
        class="blade"
        :class="{
          chosen: isChosen(blade.mm),
          gone: blade.gone,
          doubtful: blade.note === 'bent' || blade.note === 'worn',
        }"
        :aria-pressed="isChosen(blade.mm)"
        :disabled="blade.gone"
        :aria-label="spoken(blade)"
        :style="{ transform: `translateY(${lower(i) + (isChosen(blade.mm) ? 5 : 20)}px) rotate(${tilt(i)}deg)` }"
        :data-blade="blade.mm"
        @click="$emit('choose', blade.mm)"
      >
        <span class="first">{{ engraving(blade.mm, set.unit) }}</span>
        <span class="second">{{ engraving(blade.mm, other) }}</span>
        <span v-if="felt.has(String(blade.mm))" class="felt">{{ felt.get(String(blade.mm)) }}</span>
        <span v-else-if="blade.note" class="felt note">{{ t(`blade.${blade.note}`) }}</span>
      </button>
    </div>
    <p class="set">
      <b>{{ set.name }}</b><span class="units">{{
        set.unit === 'mm' ? t('common.mm-over-thou') : t('common.thou-over-mm')
      }}</span
      ><span v-if="stacksFelt.length" class="stacked">{{ stacksFelt.at(-1) }}</span>
      <Button severity="secondary" outlined class="push" :aria-pressed="stacking" @click="$emit('stack')">
        {{ stacking ? t('blade-fan.stacking') : t('common.stack') }} <kbd>+</kbd>
      </Button>
      <Button v-if="several" severity="secondary" outlined @click="$emit('sets')">
        {{ t('blade-fan.other-set') }} <kbd>X</kbd>
      </Button>
      <span class="arrows"><kbd>←</kbd> <kbd>→</kbd></span>
    </p>
  </div>
</template>

<style scoped>
.fan {
  display: grid;
  grid-template-rows: 1fr auto;
  overflow: hidden;
  min-height: 0;
}
.blades {
  display: flex;
  /* more blades than there is room for are swiped, from the first on */
  justify-content: safe center;
  align-items: end;
  padding: 0 10px;
  overflow: auto hidden;
  scrollbar-width: none;
  height: 164px;
}
.blade {
  flex: 0 1 51px;
  min-width: 44px;
  height: 160px;
  margin: 0 -1.5px;
  border: 1.8px solid var(--ink);
  border-bottom: 0;
  border-radius: 28px 28px 0 0;
  background: var(--white);
  padding: 12px 0 0;
  display: grid;
  align-content: start;
  justify-items: center;
  font-family: var(--figures);
  transform-origin: 50% 210%;
  cursor: pointer;
}
.blade.chosen {
  background: var(--petrol);
  border-color: var(--petrol);
  color: var(--on-petrol);
  z-index: 1;
}
.blade.gone {
  border-style: dashed;
  border-color: var(--edge);
  background: transparent;
  color: var(--ink3);
  cursor: default;
}
.blade.doubtful:not(.chosen) {
  background: var(--hatch-ground);
}
.first {
  font-size: 19px;
  font-weight: 700;
  line-height: 1.2;
}
.second {
  font-size: 15px;
  font-weight: 500;
  line-height: 1.2;
}
.felt {
  font-size: 15px;
  font-weight: 700;
  line-height: 1.3;
}
.note {
  font-size: 14px;
  font-weight: 600;
}
.set {
  position: relative;
  background: var(--ground);
  border-top: 1.5px solid var(--ink);
  display: flex;
  gap: 12px;
  align-items: center;
  padding: 4px 12px 4px 20px;
  font: 500 15.5px/1.2 var(--figures);
  color: var(--ink2);
  z-index: 2;
  white-space: nowrap;
  min-width: 0;
}
.set b {
  color: var(--ink);
  font-weight: 600;
  overflow: hidden;
  text-overflow: ellipsis;
}
.stacked {
  font-weight: 600;
  color: var(--ink);
}
.push {
  margin-left: auto;
}
.set .p-button[aria-pressed='true'] {
  background: var(--petrol);
  border-color: var(--petrol);
  color: var(--on-petrol);
}
@media (min-width: 701px) {
  .low .blades {
    height: 62px;
    align-items: flex-start;
  }
  .low .blade {
    height: 72px;
    padding-top: 5px;
    transform: translateY(9px) !important;
  }
  .low .blade.chosen {
    transform: translateY(2px) !important;
  }
  .low .felt {
    display: none;
  }
  .low .set {
    padding-block: 1px;
  }
}
@media (max-width: 1100px) {
  .units,
  .arrows {
    display: none;
  }
}
@media (min-width: 701px) and (max-width: 1100px) {
  .blade {
    min-width: 41px;
  }
  .first {
    font-size: 17px;
  }
}
@media (max-width: 700px) {
  .blades {
    height: 92px;
    padding: 0 8px;
    justify-content: flex-start;
    align-items: flex-start;
    overflow-x: auto;
    overflow-y: hidden;
  }
  .blade {
    flex: 0 0 50px;
    height: 108px;
    transform: translateY(14px) !important;
  }
  .blade.chosen {
    transform: none !important;
  }
  .set {
    padding: 4px 12px 4px 16px;
    gap: 8px;
  }
  .set kbd {
    display: none;
  }
}
</style>
