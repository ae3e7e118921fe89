import { BufferAttribute, BufferGeometry, DoubleSide, Group, Mesh, MeshStandardMaterial } from 'three'
import { GLTFExporter } from 'three/examples/jsm/exporters/GLTFExporter.js'
import { lightOf, SHADE, type Matter, type Solid, type SolidPart } from '#core/draw'

const MM = 0.001

const materials = new Map<string, MeshStandardMaterial>()

/** A material others know too: dull or glossy, solid or letting light through. Its colour comes from the corners. */
function materialOf({ name, gloss, thin }: Matter, letsThrough: boolean): MeshStandardMaterial {
  const key = `${name} ${letsThrough}`
  const made =
    materials.get(key) ??
    new MeshStandardMaterial({
      name,
      vertexColors: true,
      metalness: 0,
      roughness: 1 - 0.75 * gloss,
      side: thin > 0 ? DoubleSide : undefined,
      transparent: letsThrough,
    })
  materials.set(key, made)
  return made
}

function meshOf(part: SolidPart, name: string): Mesh {
  const geometry = new BufferGeometry()
  geometry.setAttribute('position', new BufferAttribute(part.positions, 3))
  geometry.setAttribute('normal', new BufferAttribute(part.normals, 3))
  const colours = Float32Array.from(part.colours, (byte, at) => (at % 4 === 3 ? byte / 255 : lightOf(byte)))
  geometry.setAttribute('color', new BufferAttribute(colours, 4))
  geometry.setIndex(new BufferAttribute(part.corners, 1))
  const mesh = new Mesh(geometry, materialOf(part.matter, part.colours[3]! < 255))
  mesh.name = name
  return mesh
}

/**
 * The cake as a file for any program that shows things in depth: binary glTF, one unit a metre, y up.
 * @param named solids with the names they have in the file
 */
export async function glbOf(
  title: string,
  named: readonly { readonly name: string; readonly solid: Solid }[],
): Promise<Blob> {
  const cake = new Group()
  cake.name = title
  cake.scale.setScalar(MM)
  cake.rotation.x = -Math.PI / 2
  for (const { name, solid } of named) {
    const parts = solid.parts.filter(({ matter }) => matter !== SHADE)
    const group = new Group()
    group.name = name
    parts.forEach((part) => group.add(meshOf(part, `${name}, ${part.matter.name}`)))
    cake.add(group)
  }
  const made = await new GLTFExporter().parseAsync(cake, { binary: true, trs: true })
  return new Blob([made as ArrayBuffer], { type: 'model/gltf-binary' })
}
