<script setup lang="ts">
import { t } from '../../words'
import TextField from './TextField.vue'

/** The shop that somebody signs in to, where a server has several. */
const shop = defineModel<string>({ required: true })
</script>

<template>
  <TextField
    v-model="shop"
    :label="t('common.shop')"
    :note="t('page-sign-in.shop-note')"
    name="shop"
    autocomplete="organization"
  />
</template>
