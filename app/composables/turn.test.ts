import { mount } from '@vue/test-utils'
import { defineComponent, h, nextTick } from 'vue'
import { expect, it, vi } from 'vitest'
import LeafPart from '~/components/ui/LeafPart.vue'
import { whole } from '../../tests/any/whole'

const Leaf = defineComponent({
  props: { parts: { type: Number, required: true } },
  setup: (props) => () =>
    h('div', [
      h('h1', 'Cut'),
      ...Array.from({ length: props.parts }, (_, at) => h(LeafPart, { key: at }, () => h('p', `part ${at}`))),
    ]),
})
const leafOf = (parts: number) => mount(Leaf, { props: { parts } })
const partsOf = (mounted: ReturnType<typeof leafOf>): readonly string[] =>
  mounted.findAll('p').map((each) => each.text())

it('parts of a leaf come after its heading, one after the other, in the order in which they stand', async () => {
  const mounted = leafOf(4)
  expect(mounted.find('h1').exists()).toBe(true)
  expect(partsOf(mounted)).toEqual([])
  const seen: (readonly string[])[] = []
  const watched = new MutationObserver(() => seen.push(partsOf(mounted)))
  watched.observe(mounted.element, { childList: true })
  await whole(mounted)
  watched.disconnect()
  const all = ['part 0', 'part 1', 'part 2', 'part 3']
  expect(seen).toEqual(all.map((_, at) => all.slice(0, at + 1)))
})

it('what is added to a leaf that is there already is there at once', async () => {
  const mounted = await whole(leafOf(1))
  await mounted.setProps({ parts: 2 })
  expect(partsOf(mounted)).toEqual(['part 0', 'part 1'])
})

it('a leaf that was left holds up none that follows', async () => {
  const left = leafOf(40)
  await nextTick()
  left.unmount()
  const frames = vi.spyOn(globalThis, 'requestAnimationFrame')
  const next = await whole(leafOf(1))
  expect(partsOf(next)).toEqual(['part 0'])
  // One for it, and the one that the leaf before had asked for.
  expect(frames.mock.calls.length).toBeLessThanOrEqual(2)
})
