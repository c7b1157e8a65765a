<script setup lang="ts">
import { useRoute } from '#imports'
import { NuxtLink } from '#components'

/** The shop's title line: where to go, whose shop, who works. */
defineProps<{ shop: string; person: string; offline: boolean; waiting: number; dim: boolean }>()
defineEmits<{ signOut: []; dim: [] }>()
const route = useRoute()
const isHere = (to: string) => (to === '/' ? route.path === '/' : route.path.startsWith(to))
const PLACES = [
  { to: '/', name: 'Bay' },
  { to: '/machines', name: 'Machines' },
  { to: '/spec-book', name: 'Spec book' },
  { to: '/shelf', name: 'Shelf' },
  { to: '/practice', name: 'Practice' },
  { to: '/shop', name: 'Shop' },
]
</script>

<template>
  <header class="shop-header">
    <NuxtLink to="/" class="brand"><img src="/mark.svg" alt="" width="24" height="24" /><b>Wembric</b></NuxtLink>
    <nav aria-label="Places">
      <NuxtLink v-for="p in PLACES" :key="p.to" :to="p.to" class="place" :class="{ here: isHere(p.to) }">{{
        p.name
      }}</NuxtLink>
    </nav>
    <div class="who">
      <span v-if="offline" class="state" role="status">No server{{ waiting ? `, ${waiting} to send` : '' }}</span>
      <span class="shop">{{ shop }}</span><b>{{ person }}</b>
      <button type="button" class="quiet" @click="$emit('dim')">{{ dim ? 'Light' : 'Dim' }}</button>
      <button type="button" class="quiet" @click="$emit('signOut')">Sign out</button>
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
.quiet {
  min-height: 40px;
}
@media (max-width: 700px) {
  .shop {
    display: none;
  }
  .place {
    padding: 10px 8px;
  }
  .shop-header {
    gap: 4px 10px;
    padding: 4px 12px;
  }
  .brand {
    margin: 0;
  }
}
</style>
