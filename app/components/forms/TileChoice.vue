<script setup lang="ts" generic="T extends string | number | boolean">
import { useId } from 'vue'

/** A choice among a few that one sees: a tile each, with its picture where it has one. */
defineProps<{ label: string; options: { value: T; label: string; help?: string }[] }>()
defineSlots<{ default?: (of: { value: T }) => unknown }>()
const value = defineModel<T>({ required: true })
const id = useId()
</script>

<template>
  <fieldset class="tiles">
    <legend>{{ label }}</legend>
    <div class="row">
      <label v-for="(o, i) in options" :key="String(o.value)" :for="`${id}-${i}`" class="tile">
        <input :id="`${id}-${i}`" v-model="value" type="radio" :name="id" :value="o.value" />
        <slot :value="o.value" />
        <b>{{ o.label }}</b>
        <small v-if="o.help">{{ o.help }}</small>
      </label>
    </div>
  </fieldset>
</template>

<style scoped>
.tiles {
  border: 0;
  margin: 0;
  padding: 0;
  min-width: 0;
}
legend {
  font: 600 17px/1.3 var(--figures);
  padding: 0 0 6px;
}
.row {
  display: grid;
  grid-template-columns: repeat(auto-fit, minmax(132px, 1fr));
  gap: 8px;
}
.tile {
  display: grid;
  gap: 2px;
  align-content: center;
  min-height: 56px;
  padding: 8px 12px;
  border: 1.5px solid var(--edge);
  border-radius: 8px;
  background: var(--sheet);
  cursor: pointer;
  position: relative;
}
.tile:has(input:checked) {
  border-color: var(--petrol);
  box-shadow: inset 0 0 0 2px var(--petrol);
}
.tile:has(input:focus-visible) {
  outline: 3px solid var(--petrol);
  outline-offset: 2px;
}
.tile input {
  position: absolute;
  opacity: 0;
  inset: 0;
  width: 100%;
  height: 100%;
  margin: 0;
  cursor: pointer;
}
b {
  font: 600 17px/1.2 var(--figures);
}
small {
  font-size: 15px;
  line-height: 1.2;
  color: var(--ink2);
}
@media (max-width: 420px) {
  .row {
    grid-template-columns: repeat(2, minmax(0, 1fr));
  }
}
</style>
