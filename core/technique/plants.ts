import { PETAL_SHAPES, type PetalShape } from './petal'

/** Techniques that plants are made by. */
type Made = 'openBloom' | 'cuppedBloom' | 'mouldedBloom' | 'laminatedLeaf' | 'patchedLeaf' | 'freeLeafStem'

/**
 * A plant to make after: a technique with parameters and a colour that bring it near. The shapes are our own, from how
 * such plants are described.
 */
export type Plant = {
  readonly id: string
  readonly name: string
  readonly technique: Made
  readonly parameters: Readonly<Record<string, unknown>>
  readonly colour: string
}

const shaped = (id: (typeof PETAL_SHAPES)[number]['id'], change: Partial<PetalShape> = {}): PetalShape => ({
  ...PETAL_SHAPES.find((each) => each.id === id)!.shape,
  ...change,
})

export const PLANTS: readonly Plant[] = [
  {
    id: 'quince',
    name: 'Quince blossom',
    technique: 'openBloom',
    colour: '#eb8f6a',
    parameters: {
      small: 2,
      smallMost: 2,
      medium: 0,
      mediumMost: 0,
      large: 5,
      largeMost: 5,
      lapDeg: 24,
      stamens: 16,
      ...shaped('orbicular'),
    },
  },
  {
    id: 'cherry',
    name: 'Notched cherry',
    technique: 'openBloom',
    colour: '#f2c3c6',
    parameters: {
      small: 2,
      smallMost: 2,
      medium: 0,
      mediumMost: 0,
      large: 5,
      largeMost: 5,
      lapDeg: 12,
      stamens: 20,
      ...shaped('obcordate'),
    },
  },
  {
    id: 'magnolia',
    name: 'Magnolia',
    technique: 'openBloom',
    colour: '#f0dce0',
    parameters: {
      small: 3,
      smallMost: 3,
      medium: 4,
      mediumMost: 4,
      large: 6,
      largeMost: 6,
      lapDeg: 50,
      stamens: 5,
      ...shaped('spatulate', { wide: 0.62 }),
    },
  },
  {
    id: 'dahlia',
    name: 'Dahlia',
    technique: 'cuppedBloom',
    colour: '#a8432e',
    parameters: { sizes: 5, petals: 8, petalsMost: 8, lapDeg: 60, ...shaped('lanceolate', { wide: 0.42 }) },
  },
  {
    id: 'peony',
    name: 'Peony',
    technique: 'cuppedBloom',
    colour: '#d9868d',
    parameters: { sizes: 5, petals: 6, petalsMost: 6, lapDeg: 50, ...shaped('undulate') },
  },
  {
    id: 'camellia',
    name: 'Camellia',
    technique: 'cuppedBloom',
    colour: '#b8463a',
    parameters: { sizes: 4, petals: 5, petalsMost: 5, lapDeg: 36, ...shaped('orbicular', { notch: 0.05 }) },
  },
  {
    id: 'poppy',
    name: 'Poppy',
    technique: 'mouldedBloom',
    colour: '#d9572b',
    parameters: { petals: 4, petalsMost: 4, stamens: 24, ...shaped('undulate', { wide: 1.4 }) },
  },
  {
    id: 'windflower',
    name: 'Windflower',
    technique: 'mouldedBloom',
    colour: '#ecdfc8',
    parameters: { petals: 5, petalsMost: 5, stamens: 22, ...shaped('elliptic', { wide: 0.86, point: 0.2 }) },
  },
  {
    id: 'daisy',
    name: 'Daisy',
    technique: 'openBloom',
    colour: '#efe2c2',
    parameters: {
      small: 6,
      smallMost: 6,
      medium: 8,
      mediumMost: 8,
      large: 8,
      largeMost: 8,
      lapDeg: 0,
      stamens: 24,
      ...shaped('lanceolate', { wide: 0.22, shoulder: 0.6, point: 0.2 }),
    },
  },
  {
    id: 'star',
    name: 'Clematis',
    technique: 'openBloom',
    colour: '#6f6aa8',
    parameters: {
      small: 2,
      smallMost: 2,
      medium: 0,
      mediumMost: 0,
      large: 6,
      largeMost: 6,
      lapDeg: 0,
      stamens: 18,
      ...shaped('elliptic', { point: 0.8 }),
    },
  },
  {
    id: 'ginkgo',
    name: 'Ginkgo',
    technique: 'laminatedLeaf',
    colour: '#a9b07a',
    parameters: { leaf: 'flabellate', openDeg: 52 },
  },
  {
    id: 'ivy',
    name: 'Ivy',
    technique: 'laminatedLeaf',
    colour: '#5f7353',
    parameters: { leaf: 'palmate', openDeg: 46, foldDeg: 14, arch: 0.4 },
  },
  {
    id: 'silverDollar',
    name: 'Round-leaved gum',
    technique: 'patchedLeaf',
    colour: '#93a58c',
    parameters: { leaf: 'orbicular', openDeg: 58 },
  },
  {
    id: 'honesty',
    name: 'Heart-leaved vine',
    technique: 'patchedLeaf',
    colour: '#8c9a5a',
    parameters: { leaf: 'cordate', leafMm: 26, openDeg: 48, arch: 0.5 },
  },
  {
    id: 'olive',
    name: 'Olive',
    technique: 'laminatedLeaf',
    colour: '#7b8660',
    parameters: { leaf: 'lanceolate', leafMm: 40, openDeg: 38, foldDeg: 18, arch: 0.22 },
  },
  {
    id: 'laurel',
    name: 'Laurel',
    technique: 'freeLeafStem',
    colour: '#56704c',
    parameters: { leaf: 'elliptic', leaves: 4, foldDeg: 26 },
  },
]
