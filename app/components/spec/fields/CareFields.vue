<script setup lang="ts">
import type { SpecField, SpecText } from '~~/core/spec-book'
import { t } from '../../../words'
import TextField from '../../forms/TextField.vue'

/** Torques, tools, and how often the valves are looked at. */
const spec = defineModel<SpecText>('spec', { required: true })
defineProps<{ odd: (field: SpecField) => string | undefined }>()
</script>

<template>
  <div class="grid">
    <TextField
      v-model="spec.locknut"
      :label="t('spec-fields.locknut-n-m')"
      :odd="odd('locknut')"
      :note="t('spec-fields.nm-or-any-unit')"
      name="locknut"
    /><TextField v-model="spec.cover" :label="t('spec-fields.cover-n-m')" :odd="odd('cover')" name="cover" /><TextField
      v-model="spec.plug"
      :label="t('spec-fields.plug-n-m')"
      :odd="odd('plug')"
      name="plug"
    />
    <TextField v-model="spec.tools" :label="t('common.tools')" /><TextField
      v-model="spec.plugGap"
      :label="t('common.plug-gap')"
    /><TextField v-model="spec.plugUse" :label="t('spec-fields.plug-use')" name="plugUse" /><TextField
      v-model="spec.plugMonths"
      :label="t('spec-fields.plug-months')"
      name="plugMonths"
    /><TextField
      v-model="spec.coverPattern"
      :label="t('spec-fields.cover-bolts')"
      :placeholder="t('spec-fields.crosswise')"
    /><TextField v-model="spec.gasket" :label="t('common.gasket')" :placeholder="t('spec-fields.new-each-time')" />
    <TextField v-model="spec.use" :label="t('spec-fields.check-every-on-the-meter')" name="use" /><TextField
      v-model="spec.firstUse"
      :label="t('spec-fields.first-check-at-on-the')"
      :note="t('spec-fields.where-the-maker-asks-for')"
      name="firstUse"
    /><TextField v-model="spec.months" :label="t('spec-fields.and-every-months')" name="months" />
  </div>
</template>
