import { defineAsyncComponent, defineComponent, h, type Component } from 'vue'

/**
 * A sheet whose code is asked for when it is first opened: a page does not wait for what most visits never open.
 *
 * @param load the import of a component that is opened by its `modelValue`
 * @example const TagSheet = onDemand(() => import('./TagSheet.vue'))
 */
export function onDemand<Sheet extends Component>(load: () => Promise<{ default: Sheet }>): Sheet {
  const Loaded = defineAsyncComponent(load) as Component
  return defineComponent({
    name: 'OnDemand',
    inheritAttrs: false,
    setup(_, { attrs, slots }) {
      let opened = false
      return () => {
        opened ||= attrs.modelValue === true
        return opened ? h(Loaded, attrs, slots) : null
      }
    },
  }) as unknown as Sheet
}
