<script setup lang="ts">
import Button from 'primevue/button'
import { computed, onUnmounted, ref, watch } from 'vue'
import { type BladeSet, engravedWords, engraving, leavesOf } from '~~/core/feeler'
import type { BladeFelt, LevelRules } from '~~/core/practice'
import { tapped } from '../../bench/blades-in-hand'
import { t } from '../../words'
import PullBar from './PullBar.vue'

/**
 * A blade, or some on each other, slid into the gap: its pull is felt and not named. While it is in, the crank is held.
 */
const props = defineProps<{
  set: BladeSet
  bladesMm: number[]
  asked: number[] | null
  felt: () => BladeFelt | null
  rules: LevelRules
}>()
const emit = defineEmits<{ choose: [mm: number[]]; slid: [felt: BladeFelt]; in: [isIn: boolean] }>()
const DEPTH_MM = 20
const depth = ref(0)
const trace = ref<number[]>([])
const forceN = ref(0)
const mostN = ref(0)
const slidIn = ref(false)
const sizes = computed(() => leavesOf(props.set).map(l => l.engravedMm))
const words = computed(() => engravedWords(props.bladesMm, props.set.unit) + (props.set.unit === 'mm' ? ' mm' : ''))
let frame = 0
watch(
  () => props.bladesMm,
  () => reset(),
)
function reset(): void {
  cancelAnimationFrame(frame)
  depth.value = 0
  trace.value = []
  forceN.value = mostN.value = 0
  slidIn.value = false
  emit('in', false)
}
onUnmounted(() => {
  cancelAnimationFrame(frame)
  emit('in', false)
})

/** A hand is never quite even: the pull wavers by a tenth. */
const waver = (n: number, at: number): number => n * (1 + 0.1 * Math.sin(at * 2.1) * Math.sin(at * 0.7))
/** Moves the blade to a depth; what refuses it stops it at the edge. */
function slideTo(mm: number): boolean {
  const feel = props.felt()
  if (!feel) return true
  const refused = feel.feel === 'no-go'
  depth.value = refused ? Math.min(mm, 1.5) : Math.max(0, Math.min(DEPTH_MM, mm))
  forceN.value = waver(feel.forceN, depth.value)
  mostN.value = Math.max(mostN.value, forceN.value)
  trace.value = [...trace.value.slice(-40), forceN.value]
  emit('in', depth.value > 1)
  const done = refused || depth.value >= DEPTH_MM
  if (done) emit('slid', feel)
  slidIn.value = done
  return done
}
function slide(): void {
  reset()
  const started = performance.now()
  const on = (now: number) => {
    if (!slideTo(((now - started) / 700) * DEPTH_MM)) frame = requestAnimationFrame(on)
  }
  frame = requestAnimationFrame(on)
}
function takeOut(): void {
  reset()
}

const pulling = ref<number | null>(null)
function grab(event: PointerEvent): void {
  pulling.value = event.clientX
  ;(event.currentTarget as Element).setPointerCapture(event.pointerId)
}
function pull(event: PointerEvent): void {
  if (pulling.value === null) return
  const by = (pulling.value - event.clientX) / 6
  pulling.value = event.clientX
  if (slideTo(depth.value + by)) pulling.value = null
}
const stack = ref(false)
const pick = (mm: number): void => emit('choose', tapped(props.bladesMm, mm, stack.value))
defineExpose({ slide })
</script>

<template>
  <section class="blade-tool" :aria-label="t('common.blade')" :data-slid="slidIn">
    <svg
      viewBox="0 0 290 96"
      role="img"
      :aria-label="depth > 1 ? t('blade-tool.in-the-gap', { words }) : t('blade-tool.gap-not-known')"
      @pointerdown="grab"
      @pointermove="pull"
      @pointerup="pulling = null"
      @pointercancel="pulling = null"
    >
      <path
        d="M 30 2 H 112 V 36 Q 112 42 106 42 H 36 Q 30 42 30 36 Z"
        fill="var(--metal)"
        stroke="var(--ink)"
        stroke-width="1.5"
      />
      <path d="M 30 14 L 112 20 M 30 26 L 112 32" stroke="var(--ink)" />
      <rect x="30" y="42" width="82" height="16" fill="var(--hatch-ground)" />
      <path v-for="i in 10" :key="i" :d="`M ${26 + i * 8} 58 l 10 -16`" stroke="var(--hatch)" stroke-width="2" />
      <rect x="30" y="58" width="82" height="34" fill="var(--metal-light)" stroke="var(--ink)" stroke-width="1.5" />
      <text x="71" y="80" text-anchor="middle" font-size="13" font-weight="500">{{ t('common.valve-tip') }}</text>
      <g :transform="`translate(${-depth * 4} 0)`">
        <rect x="116" y="43" width="190" height="14" rx="4" fill="var(--petrol)" />
        <text x="204" y="54.5" text-anchor="middle" font-size="13" font-weight="600" style="fill: var(--on-petrol)">
          {{ words }}
        </text>
      </g>
    </svg>
    <div class="sizes" role="group" :aria-label="t('blade-tool.blades-of-the-set')">
      <button
        v-for="mm in sizes"
        :key="mm"
        type="button"
        class="size"
        :class="{ taken: bladesMm.includes(mm), asked: asked?.includes(mm) }"
        :aria-pressed="bladesMm.includes(mm)"
        :data-blade="mm"
        @click="pick(mm)"
      >
        {{ engraving(mm, set.unit) }}
      </button>
    </div>
    <div class="do">
      <Button severity="secondary" outlined data-testid="slide" @click="slide">
        {{ t('blade-tool.slide-it-in') }} <kbd>S</kbd>
      </Button>
      <Button v-if="depth > 1" severity="secondary" outlined @click="takeOut">{{ t('blade-tool.take-it-out') }}</Button>
      <Button severity="secondary" outlined :aria-pressed="stack" :class="{ on: stack }" @click="stack = !stack">
        {{ t('common.stack') }}
      </Button>
    </div>
    <PullBar :force-n="forceN" :most-n="mostN" :trace="trace" :zones="rules.zones" />
  </section>
</template>

<style scoped>
.blade-tool {
  display: grid;
  gap: 6px;
}
svg {
  touch-action: none;
  cursor: ew-resize;
  width: 100%;
  max-height: 92px;
}
.sizes {
  display: grid;
  grid-template-columns: repeat(auto-fill, minmax(46px, 1fr));
  gap: 4px;
}
.size {
  min-height: 44px;
  border: 1px solid var(--edge);
  border-radius: 6px;
  background: var(--white);
  font: 600 14px/1 var(--figures);
  cursor: pointer;
  color: var(--ink);
  padding: 0;
}
.size.taken {
  background: var(--petrol);
  color: var(--on-petrol);
  border-color: var(--petrol);
}
.size.asked:not(.taken) {
  border: 2px solid var(--petrol);
}
.do {
  display: flex;
  gap: 6px;
  flex-wrap: wrap;
}
.do .p-button {
  min-height: 44px;
  font-size: 15px;
  padding: 0 9px;
}
@media (max-width: 700px) {
  /* the engine is above, the pull below: what room there is goes to them */
  .blade-tool > svg {
    display: none;
  }
  .sizes {
    display: flex;
    overflow-x: auto;
    padding-bottom: 4px;
  }
  .size {
    flex: none;
    width: 52px;
    min-height: 44px;
    font-size: 16px;
  }
  .do .p-button {
    min-height: 44px;
    font-size: 16px;
  }
}
.on {
  border-color: var(--petrol);
  box-shadow: inset 0 -3px 0 var(--petrol);
}
</style>
