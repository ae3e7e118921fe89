import { BufferAttribute, BufferGeometry, DynamicDrawUsage } from 'three'
import type { Point3 } from '#core/geometry'
import { lightOf, type Matter, type Solid, type SolidPart } from '#core/draw'

type Run = { readonly first: number; readonly count: number; readonly middle: Point3 }

/** Many parts as one: their corners as they came, and the run of each among them. */
type Gathered = { readonly geometry: BufferGeometry; readonly corners: Uint32Array; readonly runs: readonly Run[] }

/** What hides what is behind it, what lets it through, and edges so fine that nobody misses them while it moves. */
export const KINDS = ['solid', 'fine', 'thin'] as const
export type Kind = (typeof KINDS)[number]

/** All of the stand in three pieces. */
export type Merged = Readonly<Record<Kind, Gathered>>

/** Colours are kept as light, finely: what is dark would step otherwise. */
const FINE = 65_535
const BYTE = 255
const LIGHTS = Uint16Array.from({ length: BYTE + 1 }, (_, byte) => Math.round(lightOf(byte) * FINE))
const COVERS = Uint16Array.from({ length: BYTE + 1 }, (_, byte) => Math.round((byte / BYTE) * FINE))

const TEXTURES = { smooth: 0, combed: 128, rough: 255 } as const
const traitsOf = ({ gloss, thin, texture }: Matter): readonly number[] => [
  Math.round(gloss * 255),
  Math.round(thin * 255),
  TEXTURES[texture],
]

const kindOf = ({ colours, isFine }: SolidPart): Kind => (isFine ? 'fine' : colours[3]! < 255 ? 'thin' : 'solid')

function gathered(parts: readonly SolidPart[]): Gathered {
  const corners = parts.reduce((sum, { positions }) => sum + positions.length / 3, 0)
  const [positions, normals] = [new Float32Array(corners * 3), new Float32Array(corners * 3)]
  const [colours, traits] = [new Uint16Array(corners * 4), new Uint8Array(corners * 3)]
  const order = new Uint32Array(parts.reduce((sum, part) => sum + part.corners.length, 0))
  let [at, from] = [0, 0]
  const runs = parts.map((part): Run => {
    const count = part.positions.length / 3
    positions.set(part.positions, at * 3)
    normals.set(part.normals, at * 3)
    const [gloss, thin, texture] = traitsOf(part.matter)
    let [x, y, z] = [0, 0, 0]
    // Every corner of the cake passes here at each edit: numbers only, and nothing made on the way.
    for (let corner = 0; corner < count; corner += 1) {
      const own = corner * 3
      const all = at * 3 + own
      traits[all] = gloss!
      traits[all + 1] = thin!
      traits[all + 2] = texture!
      x += part.positions[own]!
      y += part.positions[own + 1]!
      z += part.positions[own + 2]!
    }
    for (let corner = 0; corner < count * 4; corner += 4) {
      const all = at * 4 + corner
      colours[all] = LIGHTS[part.colours[corner]!]!
      colours[all + 1] = LIGHTS[part.colours[corner + 1]!]!
      colours[all + 2] = LIGHTS[part.colours[corner + 2]!]!
      colours[all + 3] = COVERS[part.colours[corner + 3]!]!
    }
    for (let place = 0; place < part.corners.length; place += 1) order[from + place] = part.corners[place]! + at
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
  return { geometry, corners: order.slice(), runs }
}

export function geometryOf(solids: readonly Solid[]): Merged {
  const parts = solids.flatMap((solid) => solid.parts)
  const of = (kind: Kind): Gathered => gathered(parts.filter((part) => kindOf(part) === kind))
  return { solid: of('solid'), fine: of('fine'), thin: of('thin') }
}

function sorted({ geometry, corners, runs }: Gathered, eye: Point3, nearestFirst: boolean): void {
  const index = geometry.getIndex()!
  const away = new Map(
    runs.map((run) => [run, Math.hypot(run.middle[0] - eye[0], run.middle[1] - eye[1], run.middle[2] - eye[2])]),
  )
  const side = nearestFirst ? 1 : -1
  let at = 0
  for (const { first, count } of [...runs].sort((one, other) => side * (away.get(one)! - away.get(other)!))) {
    ;(index.array as Uint32Array).set(corners.subarray(first, first + count), at)
    at += count
  }
  index.needsUpdate = true
}

/**
 * Puts what lets light through from far to near, so that it shines through, and what hides from near to far, so that
 * nothing is drawn that is hidden.
 */
export function inOrder({ solid, thin }: Merged, eye: Point3): void {
  sorted(solid, eye, true)
  sorted(thin, eye, false)
}
