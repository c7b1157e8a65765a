import { definePreset } from '@primeuix/themes'
import accordion from '@primeuix/themes/aura/accordion'
import autocomplete from '@primeuix/themes/aura/autocomplete'
import Base from '@primeuix/themes/aura/base'
import button from '@primeuix/themes/aura/button'
import checkbox from '@primeuix/themes/aura/checkbox'
import confirmpopup from '@primeuix/themes/aura/confirmpopup'
import datatable from '@primeuix/themes/aura/datatable'
import datepicker from '@primeuix/themes/aura/datepicker'
import drawer from '@primeuix/themes/aura/drawer'
import fileupload from '@primeuix/themes/aura/fileupload'
import inputtext from '@primeuix/themes/aura/inputtext'
import menu from '@primeuix/themes/aura/menu'
import message from '@primeuix/themes/aura/message'
import paginator from '@primeuix/themes/aura/paginator'
import popover from '@primeuix/themes/aura/popover'
import progressbar from '@primeuix/themes/aura/progressbar'
import select from '@primeuix/themes/aura/select'
import selectbutton from '@primeuix/themes/aura/selectbutton'
import skeleton from '@primeuix/themes/aura/skeleton'
import slider from '@primeuix/themes/aura/slider'
import tabs from '@primeuix/themes/aura/tabs'
import textarea from '@primeuix/themes/aura/textarea'
import toast from '@primeuix/themes/aura/toast'
import togglebutton from '@primeuix/themes/aura/togglebutton'
import toggleswitch from '@primeuix/themes/aura/toggleswitch'

/** Colors are the page's own variables, which change with the theme: one scheme is all that either needs. */
const both = <T>(scheme: T): { light: T; dark: T } => ({ light: scheme, dark: scheme })
const deeper = (percent: number) => `color-mix(in srgb, var(--petrol), var(--ink) ${percent}%)`
const raised = { background: 'var(--white)', borderColor: 'var(--edge)', color: 'var(--ink)' }
const icon = { color: 'var(--ink2)', focusColor: 'var(--ink)' }

/** What lies beside the step that is to be done next: an outline, no fill. */
const quiet = {
  borderColor: 'var(--edge)',
  color: 'var(--ink)',
  hoverBackground: 'var(--sunk)',
  activeBackground: 'var(--sunk)',
}

/** A table lies on the page, ruled like a printed one. */
const tables = {
  headerCell: {
    background: 'transparent',
    hoverBackground: 'var(--sunk)',
    selectedBackground: 'transparent',
    borderColor: 'var(--ink)',
    color: 'var(--ink2)',
    hoverColor: 'var(--ink)',
    selectedColor: 'var(--ink)',
    padding: '10px 12px 10px 0',
  },
  row: {
    background: 'transparent',
    color: 'var(--ink)',
    hoverBackground: 'var(--sheet)',
    selectedBackground: 'var(--petrol-tint)',
    selectedColor: 'var(--ink)',
  },
  bodyCell: { borderColor: 'var(--line)', padding: '10px 12px 10px 0' },
  sortIcon: { color: 'var(--ink3)', hoverColor: 'var(--ink)' },
  colorScheme: both({
    root: { borderColor: 'var(--line)' },
    row: { stripedBackground: 'transparent' },
    bodyCell: { selectedBorderColor: 'var(--line)' },
  }),
}

/** The look in tokens: warm ground, ink, petrol. Contrast figures stand in assets/base.css. */
export const WembricPreset = definePreset(
  {
    ...Base,
    components: {
      accordion,
      autocomplete,
      button,
      checkbox,
      confirmpopup,
      datatable,
      datepicker,
      drawer,
      fileupload,
      inputtext,
      menu,
      message,
      paginator,
      popover,
      progressbar,
      select,
      selectbutton,
      skeleton,
      slider,
      tabs,
      textarea,
      toast,
      togglebutton,
      toggleswitch,
    },
  } as typeof Base,
  {
    components: {
      button: { colorScheme: both({ outlined: { secondary: quiet }, text: { secondary: quiet } }) },
      accordion: {
        panel: { borderWidth: '0 0 1px 0', borderColor: 'var(--edge)' },
        header: {
          color: 'var(--ink)',
          background: 'transparent',
          hoverBackground: 'var(--sunk)',
          activeBackground: 'transparent',
          activeHoverBackground: 'var(--sunk)',
          padding: '15px 6px',
          toggleIcon: { color: 'var(--ink2)', hoverColor: 'var(--ink)', activeColor: 'var(--ink)' },
        },
        content: { background: 'transparent', color: 'var(--ink)', padding: '6px 6px 22px' },
      },
      datatable: tables,
      paginator: {
        root: { background: 'transparent', color: 'var(--ink2)', padding: '12px 0' },
        navButton: {
          color: 'var(--ink)',
          hoverBackground: 'var(--sunk)',
          hoverColor: 'var(--ink)',
          width: '44px',
          height: '44px',
          borderRadius: '8px',
        },
        currentPageReport: { color: 'var(--ink2)' },
      },
      datepicker: {
        title: { fontWeight: '600' },
        dropdown: { width: '48px' },
        // a thumb finds the day
        date: { width: '42px', height: '42px', hoverBackground: 'var(--sunk)' },
        colorScheme: both({
          dropdown: {
            background: 'var(--sunk)',
            hoverBackground: 'var(--line)',
            activeBackground: 'var(--line)',
            color: 'var(--ink)',
            hoverColor: 'var(--ink)',
            activeColor: 'var(--ink)',
          },
          today: { background: 'var(--petrol-tint)', color: 'var(--ink)' },
        }),
      },
      drawer: { title: { fontSize: '22px', fontWeight: '600' } },
      fileupload: { basic: { gap: '12px' } },
      skeleton: {
        root: { borderRadius: '6px' },
        colorScheme: both({
          root: { background: 'var(--sunk)', animationBackground: 'color-mix(in srgb, var(--sheet), transparent 40%)' },
        }),
      },
      slider: {
        track: { background: 'var(--line)', size: '6px' },
        range: { background: 'var(--petrol)' },
        handle: {
          width: '28px',
          height: '28px',
          background: 'var(--petrol)',
          hoverBackground: 'var(--petrol)',
          content: { background: 'var(--white)', hoverBackground: 'var(--white)', width: '18px', height: '18px' },
        },
        colorScheme: both({ handle: { content: { background: 'var(--white)' } } }),
      },
      tabs: {
        tablist: { background: 'transparent', borderColor: 'var(--ink)' },
        tab: {
          color: 'var(--ink2)',
          hoverColor: 'var(--ink)',
          activeColor: 'var(--petrol)',
          activeBorderColor: 'var(--petrol)',
          padding: '10px 18px 8px',
        },
        activeBar: { background: 'var(--petrol)', height: '3px' },
        tabpanel: { background: 'transparent', padding: '14px 0 0' },
      },
      toast: {
        root: { width: 'min(92vw, 380px)', borderWidth: '1.5px' },
        summary: { fontWeight: '600', fontSize: '17px' },
        colorScheme: both({
          root: { blur: '0' },
          success: {
            background: 'var(--petrol)',
            borderColor: 'var(--ink)',
            color: 'var(--on-petrol)',
            detailColor: 'var(--on-petrol)',
            shadow: '0 4px 14px rgb(0 0 0 / 25%)',
          },
          warn: {
            background: 'var(--sheet)',
            borderColor: 'var(--alarm)',
            color: 'var(--ink)',
            detailColor: 'var(--ink)',
            shadow: '0 4px 14px rgb(0 0 0 / 25%)',
          },
        }),
      },
      toggleswitch: {
        root: { width: '52px', height: '30px', borderColor: 'var(--edge)', hoverBorderColor: 'var(--ink)' },
        handle: { size: '22px' },
        colorScheme: both({
          root: {
            background: 'var(--sunk)',
            hoverBackground: 'var(--sunk)',
            checkedBackground: 'var(--petrol)',
            checkedHoverBackground: 'var(--petrol)',
          },
          handle: {
            background: 'var(--ink)',
            hoverBackground: 'var(--ink)',
            checkedBackground: 'var(--on-petrol)',
            checkedHoverBackground: 'var(--on-petrol)',
          },
        }),
      },
      togglebutton: {
        root: { padding: '0', fontWeight: '600' },
        content: { padding: '10px 14px', checkedShadow: 'none' },
        colorScheme: both({
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
        }),
      },
    },
    semantic: {
      focusRing: { width: '3px', style: 'solid', color: 'var(--petrol)', offset: '2px' },
      formField: { paddingX: '12px', paddingY: '11px', borderRadius: '8px' },
      list: { option: { padding: '10px 12px' } },
      navigation: { item: { padding: '12px 14px' } },
      colorScheme: both({
        primary: {
          color: 'var(--petrol)',
          contrastColor: 'var(--on-petrol)',
          hoverColor: deeper(25),
          activeColor: deeper(45),
        },
        highlight: {
          background: 'var(--petrol-tint)',
          focusBackground: 'var(--petrol-tint)',
          color: 'var(--ink)',
          focusColor: 'var(--ink)',
        },
        formField: {
          background: 'var(--white)',
          disabledBackground: 'var(--sunk)',
          filledBackground: 'var(--white)',
          borderColor: 'var(--edge)',
          hoverBorderColor: 'var(--ink)',
          focusBorderColor: 'var(--petrol)',
          invalidBorderColor: 'var(--tight)',
          color: 'var(--ink)',
          disabledColor: 'var(--ink3)',
          placeholderColor: 'var(--ink3)',
          invalidPlaceholderColor: 'var(--ink3)',
          iconColor: 'var(--ink2)',
          shadow: 'none',
        },
        text: {
          color: 'var(--ink)',
          hoverColor: 'var(--ink)',
          mutedColor: 'var(--ink2)',
          hoverMutedColor: 'var(--ink)',
        },
        content: { ...raised, hoverBackground: 'var(--sunk)', hoverColor: 'var(--ink)' },
        overlay: { select: raised, popover: raised, modal: raised },
        list: {
          option: {
            focusBackground: 'var(--sunk)',
            selectedBackground: 'var(--petrol-tint)',
            selectedFocusBackground: 'var(--petrol-tint)',
            color: 'var(--ink)',
            focusColor: 'var(--ink)',
            selectedColor: 'var(--ink)',
            selectedFocusColor: 'var(--ink)',
            icon,
          },
        },
        navigation: {
          item: {
            focusBackground: 'var(--sunk)',
            activeBackground: 'var(--sunk)',
            color: 'var(--ink)',
            focusColor: 'var(--ink)',
            activeColor: 'var(--ink)',
            icon: { ...icon, activeColor: 'var(--ink)' },
          },
        },
      }),
    },
  },
)
