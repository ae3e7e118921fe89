import { BufferAttribute, BufferGeometry, DynamicDrawUsage } from 'three'
import type { Point3 } from '#core/geometry'
import type { Matter, Solid, SolidPart } from '#core/draw'

type Run = { readonly first: number; readonly count: number; readonly middle: Point3 }

/** All of the stand in two pieces: what hides what is behind it, and what lets it through, thing after thing. */
export type Merged = {
  readonly solid: BufferGeometry
  readonly thin: BufferGeometry
  readonly corners: Uint32Array
  readonly runs: readonly Run[]
}

const TEXTURES = { smooth: 0, combed: 128, rough: 255 } as const
const traitsOf = ({ gloss, thin, texture }: Matter): readonly number[] => [
  Math.round(gloss * 255),
  Math.round(thin * 255),
  TEXTURES[texture],
]

const lets = ({ colours }: SolidPart): boolean => colours[3]! < 255

function mergedParts(parts: readonly SolidPart[]) {
  const corners = parts.reduce((sum, { positions }) => sum + positions.length / 3, 0)
  const [positions, normals] = [new Float32Array(corners * 3), new Float32Array(corners * 3)]
  const [colours, traits] = [new Uint8Array(corners * 4), new Uint8Array(corners * 3)]
  const order = new Uint32Array(parts.reduce((sum, part) => sum + part.corners.length, 0))
  let [at, from] = [0, 0]
  const runs = parts.map((part): Run => {
    const count = part.positions.length / 3
    positions.set(part.positions, at * 3)
    normals.set(part.normals, at * 3)
    colours.set(part.colours, at * 4)
    const own = traitsOf(part.matter)
    let [x, y, z] = [0, 0, 0]
    for (let corner = 0; corner < count; corner += 1) {
      traits.set(own, (at + corner) * 3)
      x += part.positions[corner * 3]!
      y += part.positions[corner * 3 + 1]!
      z += part.positions[corner * 3 + 2]!
    }
    part.corners.forEach((corner, place) => (order[from + place] = corner + at))
    const run = { first: from, count: part.corners.length, middle: [x / count, y / count, z / count] as const }
    at += count
    from += part.corners.length
    return run
  })
  const geometry = new BufferGeometry()
  geometry.setAttribute('position', new BufferAttribute(positions, 3))
  geometry.setAttribute('normal', new BufferAttribute(normals, 3))
  geometry.setAttribute('colour', new BufferAttribute(colours, 4, true))
  geometry.setAttribute('traits', new BufferAttribute(traits, 3, true))
  geometry.setIndex(new BufferAttribute(order, 1).setUsage(DynamicDrawUsage))
  return { geometry, order, runs }
}

export function geometryOf(solids: readonly Solid[]): Merged {
  const parts = solids.flatMap((solid) => solid.parts)
  const solid = mergedParts(parts.filter((part) => !lets(part)))
  const thin = mergedParts(parts.filter(lets))
  return { solid: solid.geometry, thin: thin.geometry, corners: thin.order.slice(), runs: thin.runs }
}

/** Puts what is far before what is near, so that it shines through. */
export function nearestLast({ thin, corners, runs }: Merged, eye: Point3): void {
  const index = thin.getIndex()
  if (!index) return
  const away = ({ middle }: Run): number => Math.hypot(middle[0] - eye[0], middle[1] - eye[1], middle[2] - eye[2])
  let at = 0
  for (const { first, count } of [...runs].sort((one, other) => away(other) - away(one))) {
    ;(index.array as Uint32Array).set(corners.subarray(first, first + count), at)
    at += count
  }
  index.needsUpdate = true
}
