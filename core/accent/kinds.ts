import { between } from '../quantity'
import { defineAccent } from './define'

const NO_LINES = { faces: [], lines: [] } as const

const pearl = defineAccent({
  id: 'pearl',
  name: 'Pearl',
  many: 'pearls',
  startingSizeMm: 6,
  startingColour: '#f6efe4',
  usuallyEaten: true,
  caution: 'Hard and small: not for little children; say so when you hand over.',
  draw: (sizeMm, colour, at) => ({
    ...NO_LINES,
    beads: [{ at: at(0, sizeMm / 2, sizeMm / 2), radiusMm: sizeMm / 2, tint: colour, shine: 0.9 }],
  }),
})

const dragee = defineAccent({
  id: 'dragee',
  name: 'Dragée',
  many: 'dragées',
  startingSizeMm: 4,
  startingColour: '#c9a24b',
  usuallyEaten: true,
  caution: 'Metallic ones are for display only in some countries: read the label.',
  draw: (sizeMm, colour, at) => ({
    ...NO_LINES,
    beads: [{ at: at(0, sizeMm / 2, sizeMm / 2), radiusMm: sizeMm / 2, tint: colour, shine: 0.5 }],
  }),
})

const leafFlake = defineAccent({
  id: 'leafFlake',
  name: 'Metallic leaf',
  many: 'flakes of leaf',
  startingSizeMm: 14,
  startingColour: '#c9a24b',
  usuallyEaten: true,
  caution: 'Only leaf sold as edible on what is eaten.',
  draw: (sizeMm, colour, at, stream) => ({
    faces: [
      {
        points: Array.from({ length: 7 }, (_, corner) => {
          const [angle, far] = [(corner / 7) * 2 * Math.PI, (sizeMm / 2) * between(stream, 0.45, 1)]
          return at(far * Math.cos(angle), sizeMm / 2 + far * Math.sin(angle), 0.8)
        }),
        opacity: 0.95,
        light: between(stream, -0.1, 0.3),
        tint: colour,
      },
    ],
    lines: [],
  }),
})

const crystal = defineAccent({
  id: 'crystal',
  name: 'Sugar crystal',
  many: 'sugar crystals',
  startingSizeMm: 8,
  startingColour: '#dfe6ea',
  usuallyEaten: true,
  caution: 'Sharp and hard: keep them where nobody bites unawares.',
  draw: (sizeMm, colour, at, stream) => {
    const [lean, half] = [between(stream, -0.4, 0.4) * sizeMm, sizeMm * 0.3]
    const [low, tip, left, right, front] = [
      at(0, 0, 0.5),
      at(lean, sizeMm * 1.2, sizeMm * 0.5),
      at(-half, sizeMm * 0.5, 0.5),
      at(half, sizeMm * 0.45, 0.5),
      at(0, sizeMm * 0.4, sizeMm * 0.5),
    ]
    return {
      faces: [
        { points: [low, left, tip], opacity: 0.7, light: -0.15, tint: colour },
        { points: [low, front, left], opacity: 0.75, light: 0.1, tint: colour },
        { points: [left, front, tip], opacity: 0.8, light: 0.4, tint: colour },
        { points: [front, right, tip], opacity: 0.75, light: 0.05, tint: colour },
      ],
      lines: [{ points: [front, tip], widthMm: 0.4, light: 0.8, opacity: 0.9, tint: colour }],
    }
  },
})

const shard = defineAccent({
  id: 'shard',
  name: 'Shard',
  many: 'shards',
  startingSizeMm: 34,
  startingColour: '#e3b98f',
  usuallyEaten: true,
  caution: 'Sharp when broken thin: keep points up and away from faces.',
  draw: (sizeMm, colour, at, stream) => {
    const [lean, wide] = [between(stream, -0.35, 0.35) * sizeMm, sizeMm * between(stream, 0.22, 0.36)]
    const points = [
      at(-wide / 3, 0, 1),
      at(wide / 2, 0, 1),
      at(lean + wide * 0.4, sizeMm * 0.7, 3 + sizeMm * 0.15),
      at(lean, sizeMm, 3 + sizeMm * 0.22),
      at(lean - wide * 0.5, sizeMm * 0.55, 3 + sizeMm * 0.1),
    ]
    return {
      faces: [{ points, opacity: 0.62, light: 0.12, tint: colour }],
      lines: [{ points: [...points, points[0]!], widthMm: 0.5, light: 0.6, opacity: 0.8, tint: colour }],
    }
  },
})

const topper = defineAccent({
  id: 'topper',
  name: 'Topper',
  many: 'toppers',
  startingSizeMm: 70,
  startingColour: '#c9a24b',
  usuallyEaten: false,
  caution: 'Not food: its pick goes in a food-safe straw and comes out before the cake is cut.',
  draw: (sizeMm, colour, at) => {
    const stick = [at(0, -8, 0), at(0, sizeMm * 0.5, 0)]
    const plaque = Array.from({ length: 24 }, (_, corner) => {
      const angle = (corner / 24) * 2 * Math.PI
      return at(sizeMm * 0.5 * Math.cos(angle), sizeMm * 0.78 + sizeMm * 0.24 * Math.sin(angle), 0)
    })
    return {
      faces: [{ points: plaque, opacity: 0.97, light: 0.05, tint: colour }],
      lines: [
        { points: stick, widthMm: 2.2, light: -0.1, opacity: 1, tint: '#b99a6b' },
        { points: [...plaque, plaque[0]!], widthMm: 1, light: -0.35, opacity: 0.8, tint: colour },
      ],
    }
  },
})

/** Every kind of accent. To add one: declare it, list it. */
export const ACCENTS = [pearl, dragee, leafFlake, crystal, shard, topper] as const
