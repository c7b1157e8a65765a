/** What Nuxt gives to components, for those that are tested without it. */
export { RouterLinkStub as NuxtLink } from '@vue/test-utils'
