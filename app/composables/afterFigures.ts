/** What is loaded only once the figures are on the screen. */
import { until } from '@vueuse/core'
import { defineAsyncComponent, h, type AsyncComponentLoader, type Component } from 'vue'
import { useStudio } from '~/stores/studio'

/** Waits until what is there now is painted. */
export const afterPaint = (): Promise<void> =>
  new Promise((resolve) => {
    requestAnimationFrame(() => setTimeout(resolve))
  })

/** Waits until the page has nothing else to do; a moment where the browser does not tell. */
export const whenIdle = (): Promise<void> =>
  new Promise((resolve) => {
    if ('requestIdleCallback' in window) requestIdleCallback(() => resolve())
    else setTimeout(resolve, 200)
  })

/** Stands where something is still to come. */
const Later = () => h('span', { 'hidden': true, 'data-later': '' })

/**
 * A component that is no part of a leaf's first load. An empty studio has no figures to wait for, nor has one that could
 * not be planned, which says so.
 */
export const afterFigures = <Shown extends Component>(load: AsyncComponentLoader<Shown>) =>
  defineAsyncComponent<Shown>({
    // The page does not wait for it.
    suspensible: false,
    loadingComponent: Later,
    delay: 0,
    loader: async () => {
      const studio = useStudio()
      await until(() => studio.plan !== null || studio.isEmpty || studio.trouble !== null).toBe(true)
      await afterPaint()
      return load()
    },
  })
