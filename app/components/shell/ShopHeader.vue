<script setup lang="ts">
import { useRoute } from '#imports'
import { NuxtLink } from '#components'
import { t } from '../../words'
import LanguagePick from './LanguagePick.vue'

/** The shop's title line: where to go, whose shop, who works. */
defineProps<{ shop: string; person: string; offline: boolean; waiting: number; dim: boolean }>()
defineEmits<{ signOut: []; dim: [] }>()
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
</script>

<template>
  <header class="shop-header">
    <NuxtLink to="/" class="brand"><img src="/mark.svg" alt="" width="24" height="24" /><b>Wembric</b></NuxtLink>
    <nav :aria-label="t('shop-header.places')">
      <NuxtLink v-for="p in PLACES" :key="p.to" :to="p.to" class="place" :class="{ here: isHere(p.to) }">{{
        p.name
      }}</NuxtLink>
    </nav>
    <div class="who">
      <span v-if="offline" class="state" role="status">{{
        t('shop-header.no-server', { waiting: waiting ? t('shop-header.to-send', { waiting }) : '' })
      }}</span>
      <span class="shop">{{ shop }}</span><b>{{ person }}</b>
      <button type="button" class="quiet" @click="$emit('dim')">
        {{ dim ? t('shop-header.light') : t('shop-header.dim') }}
      </button>
      <LanguagePick />
      <button type="button" class="quiet" @click="$emit('signOut')">{{ t('shop-header.sign-out') }}</button>
    </div>
  </header>
</template>

<style scoped>
.shop-header {
  min-height: 52px;
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
@media (max-width: 700px) {
  .shop {
    display: none;
  }
  .shop-header {
    gap: 0 8px;
    padding: 6px 12px 0;
    min-width: 0;
    max-width: 100vw;
  }
  .brand {
    margin: 0;
  }
  /* the places in one line of their own, to be swiped where a language is long */
  nav {
    order: 3;
    flex: 0 0 100%;
    min-width: 0;
    overflow-x: auto;
    scrollbar-width: none;
  }
  .place {
    padding: 12px 8px 9px;
    font-size: 17px;
    white-space: nowrap;
  }
  .who {
    gap: 6px;
  }
  .who b {
    max-width: 64px;
    overflow: hidden;
    text-overflow: ellipsis;
    white-space: nowrap;
  }
  .who :deep(.quiet) {
    padding-inline: 10px;
  }
}
</style>
