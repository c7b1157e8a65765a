<script setup lang="ts">
import AngleDown from '@primevue/icons/angledown'
import Button from 'primevue/button'
import Menu from 'primevue/menu'
import type { MenuItem, MenuItemCommandEvent } from 'primevue/menuitem'
import { computed, ref, useId, useTemplateRef } from 'vue'

/** A button that opens a menu under itself. */
const props = defineProps<{ label: string; items: MenuItem[]; name?: string }>()
const menu = useTemplateRef<{ toggle: (event: Event) => void }>('menu')
const id = useId()
const open = ref(false)
/** What is asked first is asked once the click is over: it would close the question as a click beside it. */
const afterClick = ({ command, ...item }: MenuItem): MenuItem =>
  command ? { ...item, command: (event: MenuItemCommandEvent) => void setTimeout(() => command(event)) } : item
const model = computed(() => props.items.map(afterClick))
</script>

<template>
  <Button
    severity="secondary"
    outlined
    aria-haspopup="menu"
    :aria-expanded="open"
    :aria-controls="open ? id : undefined"
    :aria-label="name"
    @click="menu?.toggle($event)"
  >
    <slot>{{ label }}</slot> <AngleDown aria-hidden="true" />
  </Button>
  <Menu :id="id" ref="menu" popup :model="model" :aria-label="name ?? label" @show="open = true" @hide="open = false" />
</template>
