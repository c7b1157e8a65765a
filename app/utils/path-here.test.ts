import { afterEach, expect, it, vi } from 'vitest'
import { pathHere } from './path-here'

afterEach(() => vi.unstubAllGlobals())

// what the URL Standard (whatwg) makes of a backslash, a tab and dots in an address
it.each([
  ['/jobs/7?step=2#blades', '/jobs/7?step=2#blades'],
  ['/', '/'],
  ['machines', '/machines'],
  ['//elsewhere.example/jobs', '/'],
  ['/\\elsewhere.example', '/'],
  ['\\\\elsewhere.example', '/'],
  ['/\t/elsewhere.example', '/'],
  ['/.//elsewhere.example', '/'],
  ['https://elsewhere.example/', '/'],
  ['javascript:alert(1)', '/'],
  ['http://', '/'],
  [undefined, '/'],
  [['/jobs/7', '/jobs/8'], '/'],
])('after the door %j leads to %s', (back, to) => {
  vi.stubGlobal('location', new URL('https://shop.example/sign-in'))
  expect(pathHere(back)).toBe(to)
})
