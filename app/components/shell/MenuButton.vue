<script setup lang="ts">
import AngleDown from '@primevue/icons/angledown'
import Button from 'primevue/button'
import Menu from 'primevue/menu'
import type { MenuItem } from 'primevue/menuitem'
import { ref, useId, useTemplateRef } from 'vue'

/** A button that opens a menu under itself. */
defineProps<{ label: string; items: MenuItem[]; name?: string }>()
const menu = useTemplateRef<{ toggle: (event: Event) => void }>('menu')
const id = useId()
const open = ref(false)
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
  <Menu :id="id" ref="menu" popup :model="items" :aria-label="name ?? label" @show="open = true" @hide="open = false" />
</template>
