import { vi } from 'vitest'

/** What Nuxt gives to composables, for those that are tested without it: where one is, and how one goes elsewhere. */
export const place = { query: {} as Record<string, string>, params: {} as Record<string, string> }
export const useRoute = () => place
export const useRouter = () => ({
  replace: ({ query }: { query: Record<string, string> }) => {
    place.query = query
  },
})
export const navigateTo = vi.fn()
export const defineNuxtRouteMiddleware = <T>(guard: T): T => guard
export const definePageMeta = (): void => {}
export const useHead = (): void => {}
