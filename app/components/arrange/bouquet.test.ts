import { mount } from '@vue/test-utils'
import { produce } from 'immer'
import { createPinia, setActivePinia } from 'pinia'
import { beforeEach, describe, expect, it, vi } from 'vitest'
import { LEAF_KINDS, PETAL_SHAPES, PLANTS, type PetalShape } from '#core/technique'
import MixtureSection from '~/components/tint/MixtureSection.vue'
import { beginAgain, commission, option, plan, workshop } from '../../../tests/any/demoStudio'
import { whenTrue } from '../../../tests/any/whenTrue'
import { useArranging } from './arranging'
import AssemblySection from './AssemblySection.vue'
import BouquetLeaf from './BouquetLeaf.vue'
import { useChosenDecoration } from './chosen'
import PetalSection from './PetalSection.vue'
import PlantChoice from './PlantChoice.vue'
import { plantDrawn } from './plantDrawn'
import WireSection from './WireSection.vue'
import { choose } from '../../../tests/any/choosing'

const decorationOf = (id: string) => option.value.decorations.find((each) => each.id === id)!
const count = (id: string): number => plan.value.decorations.find((each) => each.id === id)!.count.value

beforeEach(() => {
  localStorage.clear()
  setActivePinia(createPinia())
  beginAgain()
})

describe('a bouquet’s leaf', () => {
  const leaf = () => mount(BouquetLeaf, { props: { id: 'quince' } })
  it('names what is gathered, how many of each, and the face they cover', () => {
    const mounted = leaf()
    expect(mounted.get('h1').text()).toBe('Quince and ginkgo')
    expect(mounted.get('header').text()).toContain(`${count('blossoms')} blooms`)
    expect(mounted.get('header').text()).toContain('dm²')
    expect(mounted.get('[data-testid="recipe"]').findAll('li')).toHaveLength(3)
  })
  it('takes more for a fuller one, and other proportions for other parts', async () => {
    const mounted = leaf()
    const before = count('blossoms')
    await mounted.get('[data-testid="bouquet-full"] input[type="range"]').setValue('0.9')
    expect(option.value.bouquets[0]!.full).toBe(0.9)
    expect(count('blossoms')).toBeGreaterThan(before)
    const buds = count('buds')
    await mounted.get('[data-testid="parts-bud"] input[type="range"]').setValue('12')
    expect(count('buds')).toBeGreaterThan(buds)
  })
  it('shuffles, is called otherwise, stands elsewhere', async () => {
    const mounted = leaf()
    await mounted.get('[data-testid="shuffle"]').trigger('click')
    expect(option.value.bouquets[0]!.seed).not.toBe(5)
    await choose(mounted, 'top', '[data-testid="bouquet-place"]')
    expect(plan.value.decorations.find(({ id }) => id === 'blossoms')!.elements.every(({ pose }) => pose)).toBe(true)
    expect(mounted.find('[data-testid="bouquet-spanDeg"]').exists()).toBe(false)
    expect(mounted.find('[data-testid="bouquet-reach"]').exists()).toBe(true)
    await mounted.get('input[maxlength="40"]').setValue('Orchard')
    expect(option.value.bouquets[0]!.name).toBe('Orchard')
  })
  it('lets one go out of the recipe, and goes with all that is gathered in it', async () => {
    const mounted = leaf()
    await mounted.get('[aria-label="Take the bud out of the recipe"]').trigger('click')
    expect(option.value.decorations.some(({ id }) => id === 'buds')).toBe(false)
    const others = option.value.decorations.filter(({ gathered }) => !gathered).length
    await mounted.get('[aria-label="Remove the bouquet"]').trigger('click')
    expect(mounted.text()).toBe('')
    expect(option.value.bouquets).toEqual([])
    expect(option.value.decorations).toHaveLength(others)
  })
})

describe('a bouquet on the stand', () => {
  it('has handles that move it, whether itself or something in it is open', () => {
    for (const id of ['quince', 'blossoms']) {
      useChosenDecoration(() => option.value).choose(id)
      const { handles, pull, composition } = useArranging()
      expect(composition.value).toBeNull()
      const [middle] = handles.value
      pull('middle', { ...middle!, angleDeg: -60 })
      expect(option.value.bouquets[0]!.middleDeg).toBe(-60)
      beginAgain()
    }
    useChosenDecoration(() => option.value).choose('sails')
  })
})

describe('the petal that is shaped', () => {
  const shape: PetalShape = { ...PETAL_SHAPES[0].shape }
  const changes = (mounted: ReturnType<typeof mount>): readonly Partial<PetalShape>[] =>
    (mounted.emitted('change') ?? []).map(([change]) => change as Partial<PetalShape>)
  it('is pulled by its handles with the keys: wider, more pointed, notched, within what a petal may be', async () => {
    const mounted = mount(PetalSection, { props: { shape, colour: '#eb8f6a', called: 'Bloom petal', lengthMm: 30 } })
    await mounted.get('[data-testid="petal-shoulder"]').trigger('keydown', { key: 'ArrowRight', shiftKey: true })
    await mounted.get('[data-testid="petal-point"]').trigger('keydown', { key: 'ArrowLeft' })
    await mounted.get('[data-testid="petal-notch"]').trigger('keydown', { key: 'ArrowDown', shiftKey: true })
    const [shoulder, point, notch] = changes(mounted)
    expect(shoulder!.wide).toBeGreaterThan(shape.wide)
    expect(point!.point).toBeGreaterThan(shape.point)
    expect(notch!.notch).toBeCloseTo(0.1, 2)
    await mounted.setProps({ shape: { ...shape, notch: 0.39 } })
    await mounted.get('[data-testid="petal-notch"]').trigger('keydown', { key: 'ArrowDown', shiftKey: true })
    expect(changes(mounted).at(-1)!.notch).toBe(0.4)
  })
  it('is saved at true size and brought back as it was; what cannot be read changes nothing', async () => {
    const saved: Blob[] = []
    vi.spyOn(URL, 'createObjectURL').mockImplementation((blob) => {
      saved.push(blob as Blob)
      return 'blob:petal'
    })
    const mounted = mount(PetalSection, {
      props: { shape: { ...shape, wave: 0 }, colour: '#eb8f6a', called: 'Bloom petal', lengthMm: 30 },
    })
    await mounted.get('[data-testid="petal-save"]').trigger('click')
    const svg = await saved[0]!.text()
    expect(svg).toContain('height="36mm"')
    const bring = async (text: string): Promise<void> => {
      const input = mounted.get('[data-testid="petal-file"]')
      Object.defineProperty(input.element, 'files', {
        value: [new File([text], 'petal.svg', { type: 'image/svg+xml' })],
        configurable: true,
      })
      await input.trigger('change')
      await whenTrue(() => expect(mounted.find('[role="status"]').exists()).toBe(true))
    }
    await bring('<svg><script>1</script></svg>')
    expect(mounted.get('[role="status"]').text()).toContain('What was here is kept')
    expect(changes(mounted)).toEqual([])
    await bring(svg)
    await whenTrue(() => expect(changes(mounted)).toHaveLength(1))
    const [brought] = changes(mounted)
    expect(Math.abs(brought!.wide! - shape.wide)).toBeLessThan(0.06)
    expect(Math.abs(brought!.point! - shape.point)).toBeLessThan(0.2)
    vi.restoreAllMocks()
  })
  it('is kept in the workshop under a name, begun from again, and forgotten', async () => {
    const mounted = mount(PetalSection, { props: { shape, colour: '#eb8f6a', called: 'Bloom petal', lengthMm: 30 } })
    await mounted.get('[data-testid="keep-petal"]').setValue(' Our quince ')
    await mounted.get('form').trigger('submit')
    await whenTrue(() => expect(workshop.value.petals).toEqual([{ name: 'Our quince', shape }]))
    await mounted.setProps({ shape: { ...shape, wide: 1.2 } })
    await mounted.get('[data-testid="keep-petal"]').setValue('Our quince')
    await mounted.get('form').trigger('submit')
    await whenTrue(() =>
      expect(workshop.value.petals).toEqual([{ name: 'Our quince', shape: { ...shape, wide: 1.2 } }]),
    )
    await mounted.get('[data-testid="kept-petals"] button').trigger('click')
    expect(changes(mounted).at(-1)!.wide).toBe(1.2)
    await mounted.get('[aria-label="Forget Our quince"]').trigger('click')
    expect(workshop.value.petals).toEqual([])
  })
  it('begins from each shape that has a name', async () => {
    const mounted = mount(PetalSection, { props: { shape, colour: '#eb8f6a', called: 'Bloom petal', lengthMm: 30 } })
    for (const button of mounted.get('[data-testid="petal-shapes"]').findAll('button')) await button.trigger('click')
    expect(changes(mounted)).toEqual(PETAL_SHAPES.map((each) => each.shape))
  })
})

describe('how elements are put together', () => {
  it('a branch from its tip down, each leaf at its height', () => {
    const mounted = mount(AssemblySection, { props: { decoration: decorationOf('ginkgo') } })
    const heights = mounted.findAll('li').map((item) => Number(item.text().match(/([\d.]+) mm/)![1]))
    expect(heights).toEqual([...heights].sort((one, other) => other - one))
    expect(mounted.findAll('svg path')).toHaveLength(heights.length)
  })
  it('a bloom whorl by whorl, as many petals drawn as are cut', () => {
    const mounted = mount(AssemblySection, { props: { decoration: decorationOf('blossoms') } })
    expect(mounted.findAll('li').map((item) => item.text())).toEqual([
      '13 small petals',
      '24 medium petals',
      '35 large petals',
    ])
    expect(mounted.findAll('svg path')).toHaveLength(12)
  })
  it('says nothing for what is in one piece', () =>
    expect(
      mount(AssemblySection, { props: { decoration: decorationOf('moths') } })
        .find('section')
        .exists(),
    ).toBe(false))
})

describe('wires and mixtures', () => {
  it('lists every gauge, how each stock wire is cut, and what is not food', () => {
    const mounted = mount(WireSection)
    for (const { gauge } of plan.value.wires.gauges) expect(mounted.text()).toContain(`gauge ${gauge}`)
    expect(mounted.findAll('ul')[0]!.text()).toMatch(/\d+ cut into .*mm/)
    expect(mounted.text()).toContain('not food')
  })
  it('lists each mixture with its parts, how long it keeps, and what replaces what a client does not want', () => {
    commission.value = produce(commission.value, (draft) => {
      draft.brief.limits.noAlcohol = true
    })
    const mounted = mount(MixtureSection)
    expect(mounted.findAll('li')).toHaveLength(plan.value.mixtures.length)
    expect(mounted.text()).toContain('Without alcohol')
    expect(mounted.text()).not.toContain('strong clear alcohol')
    expect(mounted.text()).toContain('keeps')
  })
})

describe('plants to make after', () => {
  it.each(PLANTS.map((plant) => [plant.name, plant] as const))('%s is drawn, whole', (_, plant) => {
    const { faces } = plantDrawn(plant).mesh
    expect(faces.length).toBeGreaterThan(6)
    expect(faces.flatMap(({ points }) => points.flat()).every(Number.isFinite)).toBe(true)
  })
  it('are offered for their technique, and chosen whole', async () => {
    const mounted = mount(PlantChoice, {
      props: { technique: 'laminatedLeaf' },
      global: { stubs: { MeshStill: true } },
    })
    const names = PLANTS.filter(({ technique }) => technique === 'laminatedLeaf').map(({ name }) => name)
    expect(mounted.findAll('button').map((button) => button.text())).toEqual(names)
    await mounted.findAll('button')[0]!.trigger('click')
    expect((mounted.emitted('choose')![0]![0] as { parameters: { leaf: string } }).parameters.leaf).toBe('flabellate')
    expect(LEAF_KINDS).toContain('flabellate')
  })
})
