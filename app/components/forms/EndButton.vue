<script setup lang="ts">
import Button from 'primevue/button'
import { useConfirm } from 'primevue/useconfirm'
import { t } from '../../words'

/** A button that ends or removes something, and asks first what that would mean. */
const props = defineProps<{ label: string; ask: string; link?: boolean }>()
const emit = defineEmits<{ end: [] }>()
const confirm = useConfirm()
function asked({ currentTarget }: Event): void {
  confirm.require({
    target: currentTarget as HTMLElement,
    message: props.ask,
    acceptLabel: props.label,
    rejectLabel: t('common.leave-it'),
    rejectProps: { severity: 'secondary', outlined: true },
    accept: () => emit('end'),
  })
}
</script>

<template>
  <Button
    :severity="link ? undefined : 'secondary'"
    :outlined="!link"
    :link="link"
    aria-haspopup="dialog"
    @click="asked"
  >
    {{ label }}
  </Button>
</template>
