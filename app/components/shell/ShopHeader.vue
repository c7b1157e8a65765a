<script setup lang="ts">
import { computed } from 'vue'
import { NuxtLink } from '#components'
import { navigateTo, useRoute } from '#imports'
import type { Hands } from '~~/core/job'
import { t } from '../../words'
import MenuButton from './MenuButton.vue'
import PersonMenu from './PersonMenu.vue'

/** The shop's title line: where to go, whose shop, who works. */
defineProps<{ shop: string; person: string; offline: boolean; waiting: number; dim: boolean; practiced: boolean }>()
defineEmits<{ signOut: []; dim: []; hands: [hands: Hands]; change: [] }>()
const route = useRoute()
const isHere = (to: string) => (to === '/' ? route.path === '/' : route.path.startsWith(to))
const PLACES = [
  { to: '/', name: t('common.bay') },
  { to: '/machines', name: t('common.machines') },
  { to: '/spec-book', name: t('common.spec-book') },
  { to: '/shelf', name: t('common.shelf') },
  { to: '/practice', name: t('common.practice') },
  { to: '/shop', name: t('common.shop') },
]
/** On a phone the places are a menu under the name of the one that is open. */
const items = PLACES.map(({ to, name }) => ({ label: name, command: () => navigateTo(to) }))
const here = computed(() => PLACES.find(p => isHere(p.to))?.name ?? t('shop-header.places'))
</script>

<template>
  <header class="shop-header">
    <NuxtLink to="/" class="brand" :aria-label="t('bench-header.wembric-to-the-bay')"
      ><img src="/mark.svg" alt="" width="24" height="24" /><b>Wembric</b></NuxtLink
    >
    <nav :aria-label="t('shop-header.places')">
      <NuxtLink v-for="p in PLACES" :key="p.to" :to="p.to" class="place" :class="{ here: isHere(p.to) }">{{
        p.name
      }}</NuxtLink>
      <span class="places"
        ><MenuButton :label="here" :name="t('shop-header.places-here', { here })" :items="items"
      /></span>
    </nav>
    <div class="who">
      <span v-if="offline" class="state" role="status">{{
        t('shop-header.no-server', { waiting: waiting ? t('shop-header.to-send', { waiting }) : '' })
      }}</span>
      <span class="shop">{{ shop }}</span>
      <PersonMenu
        :person="person"
        :waiting="waiting"
        :dim="dim"
        :practiced="practiced"
        @dim="$emit('dim')"
        @own="navigateTo('/me')"
        @hands="$emit('hands', $event)"
        @change="$emit('change')"
        @sign-out="$emit('signOut')"
      />
    </div>
  </header>
</template>

<style scoped>
.shop-header {
  box-sizing: border-box;
  min-height: var(--shop-header);
  display: flex;
  align-items: center;
  gap: 22px;
  padding: 0 20px;
  border-bottom: 1.5px solid var(--ink);
  font-family: var(--figures);
  flex-wrap: wrap;
}
.brand {
  display: flex;
  gap: 9px;
  align-items: center;
  font-size: 21px;
  color: var(--ink);
  text-decoration: none;
  margin-right: 18px;
}
nav {
  display: flex;
}
.places {
  display: none;
}
.place {
  padding: 16px 14px 12px;
  font-size: 18px;
  font-weight: 600;
  color: var(--ink2);
  text-decoration: none;
  border-bottom: 4px solid transparent;
}
.here {
  color: var(--ink);
  border-bottom-color: var(--petrol);
}
.who {
  margin-left: auto;
  display: flex;
  gap: 14px;
  align-items: center;
  font-size: 17px;
}
.shop {
  font-family: var(--sentences);
  font-size: 16px;
  color: var(--ink2);
}
.state {
  font-weight: 600;
  color: var(--tight);
}
/* A tablet and a phone: one row, the places in a menu. */
@media (max-width: 900px) {
  .shop,
  .place {
    display: none;
  }
  nav .places {
    display: inline-flex;
  }
  .shop-header {
    gap: 12px;
    padding: 0 12px;
    flex-wrap: nowrap;
  }
  .brand {
    margin: 0;
    min-height: 44px;
    min-width: 32px;
  }
  .who {
    min-width: 0;
    gap: 8px;
  }
  .state {
    font-size: 15px;
    line-height: 1.1;
  }
}
@media (max-width: 480px) {
  .brand b {
    display: none;
  }
}
</style>
