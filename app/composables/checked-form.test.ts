import { flushPromises, mount } from '@vue/test-utils'
import PrimeVue from 'primevue/config'
import { afterEach, describe, expect, it } from 'vitest'
import { defineComponent, h, reactive } from 'vue'
import { setupSchema } from '~~/shared/shop'
import { shopAnswers } from '../../tests/support/screens'
import CheckedForm from '../components/forms/CheckedForm.vue'
import TextField from '../components/forms/TextField.vue'
import { api } from '../utils/api'
import { useForm } from './useForm'

/** The form by which a shop is made, with three of its fields. */
function shopForm() {
  const typed = reactive({ shop: '', timeZone: 'Etc/UTC', unit: 'mm', lead: { name: '', signIn: '', password: '' } })
  let sent = 0
  const page = mount(
    defineComponent({
      setup() {
        const form = useForm()
        const send = async () => {
          sent++
          await form.send(() => api('POST /api/setup', { body: typed as never }))
        }
        return () =>
          h(CheckedForm, { form, schema: setupSchema, body: () => typed, onSend: send }, () => [
            h(TextField, {
              'label': 'Shop',
              'name': 'shop',
              'modelValue': typed.shop,
              'onUpdate:modelValue': v => (typed.shop = v),
            }),
            h(TextField, {
              'label': 'Sign-in name',
              'name': 'lead.signIn',
              'modelValue': typed.lead.signIn,
              'onUpdate:modelValue': v => (typed.lead.signIn = v),
            }),
            h(TextField, {
              'label': 'Password',
              'name': 'lead.password',
              'modelValue': typed.lead.password,
              'onUpdate:modelValue': v => (typed.lead.password = v),
            }),
          ])
      },
    }),
    { attachTo: document.body, global: { plugins: [PrimeVue] } },
  )
  const [shop, signIn, password] = page.findAll('input')
  const said = () => page.findAll('.field').map(f => f.find('.wrong').exists() && f.find('.wrong').text())
  const leave = async (at: typeof shop) => {
    await at!.trigger('focusout')
    await flushPromises()
  }
  return { page, typed, shop, signIn, password, said, leave, sent: () => sent }
}
let open: ReturnType<typeof shopForm> | null = null
const given = () => (open = shopForm())
afterEach(() => open?.page.unmount())

describe('a form that is checked', () => {
  it('says nothing before a field was left, then at that field alone', async () => {
    const { said, leave, shop, signIn } = given()
    expect(said()).toEqual([false, false, false])
    await signIn!.setValue('two words')
    expect(said()).toEqual([false, false, false])
    await leave(signIn)
    expect(said()).toEqual([false, expect.stringContaining('sign-in name'), false])
    await leave(shop)
    expect(said()[0]).toBeTruthy()
    expect(said()[2]).toBe(false)
  })
  it('takes its words away as soon as what is typed is right', async () => {
    const { said, leave, signIn } = given()
    await signIn!.setValue('two words')
    await leave(signIn)
    await signIn!.setValue('twowords')
    await flushPromises()
    expect(said()[1]).toBe(false)
    await signIn!.setValue('two words')
    await flushPromises()
    expect(said()[1]).toBeTruthy()
  })
  it('sends nothing that the server would refuse: all is said, and the first wrong field has the focus', async () => {
    const { page, said, shop, sent } = given()
    await shop!.setValue('Shop')
    await page.find('form').trigger('submit')
    await flushPromises()
    expect(sent()).toBe(0)
    expect(said().map(Boolean)).toEqual([false, true, true])
    expect(document.activeElement).toBe(page.findAll('input')[1]!.element)
  })
  it('two taps in a hurry send it once', async () => {
    const { page, typed, sent } = given()
    Object.assign(typed, { shop: 'Shop', lead: { name: 'Ada', signIn: 'ada', password: 'quillbrook' } })
    shopAnswers(() => ({ status: 200, body: {} }))
    await Promise.all([page.find('form').trigger('submit'), page.find('form').trigger('submit')])
    await flushPromises()
    expect(sent()).toBe(1)
  })
  it('what only the server knows stands at its field too, and goes with the next sending', async () => {
    const { page, typed, said, sent } = given()
    Object.assign(typed, { shop: 'Shop', lead: { name: 'Ada', signIn: 'ada', password: 'quillbrook' } })
    let taken = true
    shopAnswers(() =>
      taken
        ? {
            status: 409,
            body: { title: 'That sign-in name is taken', fields: [{ field: 'lead.signIn', message: 'Taken already' }] },
          }
        : { status: 200, body: {} },
    )
    await page.find('form').trigger('submit')
    await flushPromises()
    expect(sent()).toBe(1)
    expect(said()[1]).toBe('Taken already')
    taken = false
    await page.find('form').trigger('submit')
    await flushPromises()
    expect(said()).toEqual([false, false, false])
  })
  it('while a finger is down no words move the button away from under it', async () => {
    const { said, leave, signIn } = given()
    await signIn!.setValue('two words')
    window.dispatchEvent(new Event('pointerdown'))
    await leave(signIn)
    expect(said()[1]).toBe(false)
    window.dispatchEvent(new Event('pointerup'))
    await new Promise(done => setTimeout(done))
    await flushPromises()
    expect(said()[1]).toBeTruthy()
  })
})
