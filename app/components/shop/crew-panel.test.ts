import { mount } from '@vue/test-utils'
import PrimeVue from 'primevue/config'
import ConfirmationService from 'primevue/confirmationservice'
import { describe, expect, it } from 'vitest'
import type { PersonRow } from '~~/shared/people'
import MenuButton from '../shell/MenuButton.vue'
import CrewPanel from './CrewPanel.vue'

const person = (changes: Partial<PersonRow>): PersonRow => ({
  id: 1,
  name: 'Ada',
  signIn: 'ada',
  role: 'lead',
  endedAt: null,
  ...changes,
})
const ADA = person({})
const BO = person({ id: 2, name: 'Bo', signIn: 'bo', role: 'mechanic' })
const CAS = person({ id: 3, name: 'Cas', signIn: 'cas', role: 'mechanic', endedAt: '2026-01-01T00:00:00.000Z' })
const crew = (isLead = true) =>
  mount(CrewPanel, {
    props: { people: [ADA, BO, CAS], isLead, code: null, timeZone: 'Etc/UTC' },
    global: { plugins: [PrimeVue, ConfirmationService] },
  })
const itemsOf = (page: ReturnType<typeof crew>, name: string) =>
  page
    .findAllComponents(MenuButton)
    .find(m => m.props('name') === `Changes for ${name}`)!
    .props('items')

describe('the crew of a shop', () => {
  it('shows who works here; who left is a tap away, and can be let back in', async () => {
    const page = crew()
    expect(page.text()).not.toContain('Cas')
    await page.findAll('button').at(-1)!.trigger('click')
    expect(page.text()).toContain('Left')
    const [back] = itemsOf(page, 'Cas')
    back!.command!({} as never)
    expect(page.emitted('back')).toEqual([[CAS]])
  })
  it('a mechanic is made a lead, a lead a mechanic, and each has a code made for them', () => {
    const page = crew()
    expect([itemsOf(page, 'Ada')[0]!.label, itemsOf(page, 'Bo')[0]!.label]).toEqual(['Make a mechanic', 'Make a lead'])
    itemsOf(page, 'Bo')[1]!.command!({} as never)
    expect(page.emitted('code')).toEqual([[BO]])
  })
  it('nothing ends by one tap: it is asked about first', () => {
    const page = crew()
    itemsOf(page, 'Bo').at(-1)!.command!({} as never)
    expect(page.emitted('end')).toBeUndefined()
  })
  it('whoever is no lead changes nothing', () => expect(crew(false).findAllComponents(MenuButton)).toHaveLength(0))
  it('a code is shown with how long it stands', () => {
    const page = mount(CrewPanel, {
      props: {
        people: [ADA, BO],
        isLead: true,
        code: { person: BO, made: { code: 'ABCD-EF23', until: '2026-05-02T09:30:00.000Z' } },
        timeZone: 'Etc/UTC',
      },
      global: { plugins: [PrimeVue, ConfirmationService] },
    })
    expect(page.find('[data-testid="one-time-code"]').text()).toBe('ABCD-EF23')
    expect(page.text()).toMatch(/One-time code for Bo.*until May 2, 2026, 9:30/)
  })
})
