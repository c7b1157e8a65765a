<script setup lang="ts">
import { computed } from 'vue'
import { itemWords, type JobView, stripList } from '~~/core/job'
import { tell, t } from '../../words'

/** What came off and went in, as it happens; at the end, what is back and out. Nothing ticked is nothing claimed. */
const props = defineProps<{ view: JobView; closing?: boolean }>()
const state = computed(() => props.view.state)
const off = computed(() => {
  const listed = stripList(props.view.pin.spec.engine.stripDown)
  const extra = state.value.cameOff.filter(i => !listed.includes(i))
  return props.closing ? [...state.value.cameOff].reverse() : [...listed, ...extra]
})
const ticked = (item: string): boolean =>
  props.closing ? state.value.wentBack.has(item) : state.value.cameOff.includes(item)
</script>

<template>
  <div class="lists">
    <section>
      <h2>{{ closing ? t('list-stage.put-back-in-this-order') : t('list-stage.to-remove') }}</h2>
      <ul>
        <li v-for="item in off" :key="item" :class="{ ticked: ticked(item) }">
          <i aria-hidden="true">{{ ticked(item) ? '✓' : '' }}</i>{{ tell(itemWords(item))
          }}<span class="hidden-words">{{ ticked(item) ? t('list-stage.done') : t('list-stage.to-do') }}</span>
        </li>
      </ul>
      <p v-if="off.length === 0" class="none">{{ t('list-stage.nothing-was-removed') }}</p>
    </section>
    <section>
      <h2>{{ closing ? t('list-stage.rags-and-plugs-to-take') : t('list-stage.rags-and-plugs-put-in') }}</h2>
      <ul>
        <li v-for="item in state.putIn" :key="item" :class="{ ticked: state.cameOut.has(item) }">
          <i aria-hidden="true">{{ state.cameOut.has(item) ? '✓' : '' }}</i>{{ item }}
        </li>
      </ul>
      <p v-if="state.putIn.length === 0" class="none">
        {{ closing ? t('list-stage.nothing-was-listed-as-put') : t('list-stage.nothing-yet-list-rags-tape') }}
      </p>
      <h2 class="second">{{ t('list-stage.found') }}</h2>
      <ul>
        <li v-for="(f, i) in state.findings" :key="i" class="plain">{{ f.text }}</li>
      </ul>
      <p v-if="state.findings.length === 0" class="none">
        {{ t('list-stage.nothing-found-yet-cracked-hoses') }}
      </p>
      <p class="facts">
        {{ t('list-stage.tools', { tools: view.pin.spec.engine.tools || t('common.not-on-record') }) }}
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
li {
  display: grid;
  grid-template-columns: 24px 1fr;
  gap: 10px;
  padding: 9px 0;
  border-bottom: 1px solid var(--line);
  font: 600 18px/1.25 var(--figures);
  overflow-wrap: anywhere;
}
li.plain {
  grid-template-columns: 1fr;
  font-weight: 500;
}
li i {
  width: 20px;
  height: 20px;
  border: 1.8px solid var(--ink2);
  border-radius: 3px;
  font: 700 17px/17px var(--figures);
  text-align: center;
  margin-top: 1px;
}
li.ticked i {
  background: var(--petrol);
  border-color: var(--petrol);
  color: var(--on-petrol);
}
li.ticked {
  color: var(--ink2);
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
