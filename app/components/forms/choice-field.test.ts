import { mount } from '@vue/test-utils'
import PrimeVue from 'primevue/config'
import { describe, expect, it } from 'vitest'
import ChoiceField from './ChoiceField.vue'

const field = (value: string | null, placeholder?: string) =>
  mount(ChoiceField<string | null>, {
    props: {
      modelValue: value,
      label: 'Who',
      options: [
        { value: null, label: 'Everybody' },
        { value: 'ada', label: 'Ada' },
      ],
      ...(placeholder ? { placeholder } : {}),
    },
    global: { plugins: [PrimeVue] },
  })
    .find('.p-select')
    .text()

describe('a choice among a few', () => {
  it('shows what is chosen, and what stands for nothing', () => {
    expect([field('ada'), field(null)]).toEqual(['Ada', 'Everybody'])
  })
  it('or what it was told to show in its place', () => expect(field(null, 'Choose')).toBe('Choose'))
})
