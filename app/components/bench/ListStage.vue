<script setup lang="ts">
import { computed, useTemplateRef, watch } from 'vue'
import { inSafeOrder, type Part } from '~~/core/access'
import { findingWords, type Happening, itemWords, type JobView, partNamed, partsToRemove } from '~~/core/job'
import { t, tell } from '../../words'

/**
 * What is made safe, comes off and goes in, as it happens; at the end what is back, out and live again. A tap takes a
 * part off, or puts it back. Nothing ticked is nothing claimed.
 */
const props = defineProps<{ view: JobView; closing?: boolean }>()
const emit = defineEmits<{ record: [happening: Happening] }>()
const state = computed(() => props.view.state)
const engine = computed(() => props.view.pin.spec.engine)
const parts = computed((): Part[] => {
  const listed = partsToRemove(engine.value)
  const extra = state.value.cameOff.filter(name => !listed.some(p => p.name === name))
  return props.closing
    ? [...state.value.cameOff].reverse().map(name => partNamed(engine.value, name))
    : [...listed, ...extra.map(name => partNamed(engine.value, name))]
})
const ticked = (item: string): boolean =>
  props.closing ? state.value.wentBack.has(item) : state.value.cameOff.includes(item)
/** What is on record of a part, short: how many of which, with what. */
const detail = (part: Part): string =>
  t('list-stage.part', {
    fasteners: part.fasteners,
    tool: part.tool,
    torqueNm: props.closing ? part.torqueNm : null,
    seal: props.closing ? (part.seal?.kind ?? null) : null,
  })
const safe = computed(() => {
  const things = inSafeOrder(engine.value.safe ?? [])
  return props.closing ? [...things].reverse() : things
})
/** What bites on such a machine, at the step where it does, and whose word stands over ours. */
const mind = computed(() => [
  ...t(props.closing ? 'mind.close' : 'mind.ready', { things: engine.value.safe ?? [] }).split('\n'),
  t('caution.defer'),
])
const isDone = computed(() => state.value.confirmed.has(props.closing ? 'live' : 'safe'))
/** What is next stays in sight where the list is longer than a phone; nothing moves while it is. */
const rows = useTemplateRef<HTMLElement[]>('rows')
const nextRow = computed(() => parts.value.findIndex(p => !ticked(p.name)))
watch(nextRow, at => rows.value?.[at]?.scrollIntoView?.({ block: 'nearest' }), { flush: 'post' })
const tap = (item: string) =>
  emit('record', props.closing ? { type: 'went-back', payload: { item } } : { type: 'came-off', payload: { item } })
</script>

<template>
  <div
    class="lists"
    tabindex="0"
    role="region"
    :aria-label="closing ? t('list-stage.put-back-in-this-order') : t('list-stage.to-remove')"
  >
    <section>
      <h2>{{ closing ? t('list-stage.put-back-in-this-order') : t('list-stage.to-remove') }}</h2>
      <ul>
        <li v-for="part in parts" ref="rows" :key="part.name" :class="{ ticked: ticked(part.name) }">
          <button type="button" class="line" :disabled="ticked(part.name)" @click="tap(part.name)">
            <i aria-hidden="true">{{ ticked(part.name) ? '✓' : '' }}</i><span
              >{{ tell(itemWords(part.name)) }}<small v-if="detail(part)">{{ detail(part) }}</small
              ><small v-if="part.trap" class="trap">{{ part.trap }}</small></span
            ><span class="hidden-words">{{ ticked(part.name) ? t('list-stage.done') : t('list-stage.to-do') }}</span>
          </button>
        </li>
      </ul>
      <p v-if="parts.length === 0" class="none">{{ t('list-stage.nothing-was-removed') }}</p>
    </section>
    <section>
      <template v-if="safe.length">
        <h2>{{ closing ? t('list-stage.made-live') : t('list-stage.made-safe') }}</h2>
        <ul class="after">
          <li v-for="thing in safe" :key="thing" :class="{ ticked: isDone }">
            <span class="line"
              ><i aria-hidden="true">{{ isDone ? '✓' : '' }}</i
              >{{ t('safe-thing', { thing, live: closing ?? false })
              }}<span class="hidden-words">{{ isDone ? t('list-stage.done') : t('list-stage.to-do') }}</span></span
            >
          </li>
        </ul>
      </template>
      <h2>{{ closing ? t('list-stage.rags-and-plugs-to-take') : t('list-stage.rags-and-plugs-put-in') }}</h2>
      <ul>
        <li v-for="item in state.putIn" :key="item" :class="{ ticked: state.cameOut.has(item) }">
          <span class="line"
            ><i aria-hidden="true">{{ state.cameOut.has(item) ? '✓' : '' }}</i
            >{{ item }}</span
          >
        </li>
      </ul>
      <p v-if="state.putIn.length === 0" class="none">
        {{ closing ? t('list-stage.nothing-was-listed-as-put') : t('list-stage.nothing-yet-list-rags-tape') }}
      </p>
      <h2 class="second">{{ t('list-stage.found') }}</h2>
      <ul>
        <li v-for="(f, i) in state.findings" :key="i" class="plain">{{ tell(findingWords(f)) }}</li>
      </ul>
      <p v-if="state.findings.length === 0" class="none">
        {{ t('list-stage.nothing-found-yet-cracked-hoses') }}
      </p>
      <div v-if="engine.safe" class="mind">
        <b>! {{ t('mind.heading') }}</b>
        <p v-for="line in mind" :key="line">{{ line }}</p>
      </div>
      <p class="facts">
        {{ t('list-stage.tools', { tools: engine.tools || t('common.not-on-record') }) }}
      </p>
    </section>
  </div>
</template>

<style scoped>
.lists {
  display: grid;
  grid-template-columns: 1fr 1fr;
  gap: 28px;
  padding: 24px;
  align-content: start;
  overflow: auto;
  height: 100%;
}
h2 {
  font-size: 22px;
  padding-bottom: 8px;
  border-bottom: 1.5px solid var(--ink);
}
.second {
  margin-top: 28px;
}
ul {
  list-style: none;
  margin: 0;
  padding: 0;
}
.after {
  margin-bottom: 28px;
}
li {
  border-bottom: 1px solid var(--line);
}
.line {
  display: grid;
  grid-template-columns: 24px 1fr;
  gap: 10px;
  width: 100%;
  min-height: 48px;
  align-items: center;
  padding: 6px 0;
  font: 600 18px/1.25 var(--figures);
  overflow-wrap: anywhere;
  text-align: left;
  color: inherit;
}
button.line {
  border: 0;
  background: none;
  cursor: pointer;
}
button.line:disabled {
  cursor: default;
}
small {
  display: block;
  font: 400 15px/1.3 var(--sentences);
  color: var(--ink2);
}
.trap {
  font-weight: 600;
}
li.plain {
  padding: 9px 0;
  font: 500 18px/1.25 var(--figures);
  overflow-wrap: anywhere;
}
li i {
  width: 20px;
  height: 20px;
  border: 1.8px solid var(--ink2);
  border-radius: 3px;
  font: 700 17px/17px var(--figures);
  text-align: center;
}
li.ticked i {
  background: var(--petrol);
  border-color: var(--petrol);
  color: var(--on-petrol);
}
li.ticked {
  color: var(--ink2);
}
.mind {
  margin-top: 20px;
  padding: 10px 14px;
  border-left: 5px solid var(--ink);
  background: var(--sheet);
  font-size: 16px;
  line-height: 1.3;
}
.mind p {
  padding-top: 6px;
}
.none,
.facts {
  font-size: 15.5px;
  color: var(--ink3);
  padding-top: 10px;
}
@media (max-width: 700px) {
  .lists {
    grid-template-columns: 1fr;
    padding: 14px 16px;
    gap: 14px;
    height: auto;
  }
}
</style>
