import { definePreset } from '@primeuix/themes'
import Base from '@primeuix/themes/aura/base'
import button from '@primeuix/themes/aura/button'
import checkbox from '@primeuix/themes/aura/checkbox'
import inputtext from '@primeuix/themes/aura/inputtext'
import select from '@primeuix/themes/aura/select'
import selectbutton from '@primeuix/themes/aura/selectbutton'
import textarea from '@primeuix/themes/aura/textarea'
import togglebutton from '@primeuix/themes/aura/togglebutton'

const toggle = {
  root: {
    background: 'var(--white)',
    checkedBackground: 'var(--petrol)',
    hoverBackground: 'var(--petrol-tint)',
    borderColor: 'var(--edge)',
    checkedBorderColor: 'var(--petrol)',
    color: 'var(--ink)',
    hoverColor: 'var(--ink)',
    checkedColor: 'var(--on-petrol)',
  },
  content: { checkedBackground: 'transparent' },
}

/** Tokens of the look: warm ground, ink, petrol. Contrast figures stand in assets/base.css. */
export const WembricPreset = definePreset(
  { ...Base, components: { button, checkbox, inputtext, select, selectbutton, textarea, togglebutton } } as typeof Base,
  {
    components: {
      togglebutton: {
        root: { padding: '0', fontWeight: '600' },
        content: { padding: '10px 14px', checkedShadow: 'none' },
        // by variables of the page, which change with the theme
        colorScheme: { light: toggle, dark: toggle },
      },
    },
    semantic: {
      primary: {
        50: '#EAF1F0',
        100: '#D3E3E0',
        200: '#A9C9C6',
        300: '#7CABAA',
        400: '#4A868A',
        500: '#0A5260',
        600: '#0A5260',
        700: '#083F4A',
        800: '#062F38',
        900: '#042127',
        950: '#02161A',
      },
      focusRing: { width: '3px', style: 'solid', color: '#0A5260', offset: '2px' },
      formField: { paddingX: '12px', paddingY: '11px', borderRadius: '8px' },
      colorScheme: {
        light: {
          primary: { color: '#0A5260', contrastColor: '#FFFFFF', hoverColor: '#083F4A', activeColor: '#062F38' },
          formField: {
            background: '#FFFFFF',
            borderColor: '#8B8778',
            hoverBorderColor: '#172125',
            focusBorderColor: '#0A5260',
            color: '#172125',
            placeholderColor: '#586265',
            shadow: 'none',
          },
          text: { color: '#172125', mutedColor: '#3E494D' },
        },
      },
    },
  },
)
