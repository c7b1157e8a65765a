<script setup lang="ts">
import { computed, nextTick, useTemplateRef, watch } from 'vue'
import { formatLength, thouFromMm } from '~~/core/units'

/** The blades of the set in a fan, the one to try raised; any other may be chosen. */
const props = defineProps<{ bladesMm: number[], chosenMm: number | null, felt: Map<number, string>, setName: string, unit: 'mm' | 'thou' }>()
defineEmits<{ choose: [bladeMm: number] }>()
const MOST = 11
const shown = computed(() => {
  const all = props.bladesMm
  const middle = Math.max(0, all.indexOf(props.chosenMm ?? all[Math.floor(all.length / 2)]!))
  const from = Math.max(0, Math.min(middle - Math.floor(MOST / 2), all.length - MOST))
  return all.slice(from, from + MOST)
})
const tilt = (i: number): number => (i - (shown.value.length - 1) / 2) * 2.2
const lower = (i: number): number => ((i - (shown.value.length - 1) / 2) ** 2) * 1.15
// on a narrow screen the fan lies flat and scrolls: the blade to try is brought into view
const list = useTemplateRef<HTMLElement>('list')
watch(() => props.chosenMm, async () => {
  await nextTick()
  const chosen = list.value?.querySelector<HTMLElement>('.chosen')
  if (chosen && list.value) list.value.scrollLeft = chosen.offsetLeft - list.value.clientWidth / 2 + 25
}, { immediate: true })
const mm = (t: number) => formatLength(t, 'mm')
</script>

<template>
  <div class="fan">
    <div ref="list" class="blades" role="group" aria-label="Blades">
      <button
        v-for="(blade, i) in shown" :key="blade" type="button" class="blade" :class="{ chosen: blade === chosenMm }" :aria-pressed="blade === chosenMm"
        :aria-label="`${mm(blade)} mm, ${thouFromMm(blade).toFixed(1)} thou${felt.has(blade) ? `, ${felt.get(blade)}` : ''}`"
        :style="{ transform: `translateY(${lower(i) + (blade === chosenMm ? 0 : 16)}px) rotate(${tilt(i)}deg)` }" :data-blade="blade" @click="$emit('choose', blade)"
      >
        <span class="first">{{ unit === 'mm' ? mm(blade) : thouFromMm(blade).toFixed(1) }}</span>
        <span class="second">{{ unit === 'mm' ? thouFromMm(blade).toFixed(1) : mm(blade) }}</span>
        <span v-if="felt.has(blade)" class="felt">{{ felt.get(blade) }}</span>
      </button>
    </div>
    <p class="set"><b>{{ setName }}</b><span>{{ unit === 'mm' ? 'mm over thou' : 'thou over mm' }}</span><span class="arrows"><kbd>←</kbd> <kbd>→</kbd> choose</span></p>
  </div>
</template>

<style scoped>
.fan { display: grid; grid-template-rows: 1fr auto; overflow: hidden; min-height: 0; }
.blades { display: flex; justify-content: center; align-items: end; padding: 0 14px; overflow: hidden; height: 166px; }
.blade { flex: 0 1 53px; min-width: 44px; height: 168px; margin: 0 -1.5px; border: 1.8px solid var(--ink); border-bottom: 0; border-radius: 28px 28px 0 0; background: var(--white); padding: 12px 0 0; display: grid; align-content: start; justify-items: center; font-family: var(--figures); transform-origin: 50% 210%; cursor: pointer; }
.blade.chosen { background: var(--petrol); border-color: var(--petrol); color: var(--on-petrol); z-index: 1; }
.first { font-size: 19px; font-weight: 700; line-height: 1.2; }
.second { font-size: 15px; font-weight: 500; line-height: 1.2; }
.felt { font-size: 15px; font-weight: 700; line-height: 1.3; }
.set { position: relative; background: var(--ground); border-top: 1.5px solid var(--ink); display: flex; gap: 18px; align-items: center; padding: 7px 20px; font: 500 15.5px/1.2 var(--figures); color: var(--ink2); z-index: 2; }
.set b { color: var(--ink); font-weight: 600; }
.arrows { margin-left: auto; }
@media (max-width: 700px) {
  .blades { height: 92px; padding: 0 8px; justify-content: flex-start; align-items: flex-start; overflow-x: auto; overflow-y: hidden; }
  .blade { flex: 0 0 50px; height: 108px; transform: translateY(14px) !important; } .blade.chosen { transform: none !important; }
  .arrows { display: none; } .set { padding: 4px 16px; }
}
</style>
