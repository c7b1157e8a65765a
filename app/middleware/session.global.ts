import { defineNuxtRouteMiddleware, navigateTo } from '#imports'
import { useSessionStore } from '../stores/session'
import { api } from '../utils/api'

const OPEN = new Set(['/sign-in', '/setup'])

/** Nobody sees a shop's pages without a session; an empty server leads to its first page. */
export default defineNuxtRouteMiddleware(async to => {
  const store = useSessionStore()
  if (!store.loaded) await store.load()
  if (store.session && to.path === '/sign-in' && !store.expired) return navigateTo('/')
  if (store.session || OPEN.has(to.path)) return
  const { needed } = await api('GET /api/setup').catch(() => ({ needed: false }))
  return navigateTo(needed ? '/setup' : { path: '/sign-in', query: to.path === '/' ? {} : { back: to.fullPath } })
})
