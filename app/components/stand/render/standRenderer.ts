import {
  BufferAttribute,
  BufferGeometry,
  Camera,
  CustomBlending,
  DepthTexture,
  DoubleSide,
  GLSL3,
  LinearSRGBColorSpace,
  Matrix4,
  Mesh,
  NearestFilter,
  OneFactor,
  OneMinusSrcAlphaFactor,
  OrthographicCamera,
  Scene,
  ShaderMaterial,
  UnsignedByteType,
  UnsignedIntType,
  Vector3,
  WebGLRenderer,
  WebGLRenderTarget,
} from 'three'
import { projectionMatrix, sightLine, viewMatrix, type Viewpoint, type Room, type Solid, type Window } from '#core/draw'
import { CANVAS_TRAITS } from './canvasTraits'
import { COPY_CORNER_SHADER, COPY_POINT_SHADER, CORNER_SHADER, POINT_SHADER, SHADOW_POINT_SHADER } from './light'
import { geometryOf, inOrder, KINDS, type Kind, type Merged } from './merged'

/** How much is drawn: all; without shadows and smooth edges, for while it moves. */
type Fullness = 'full' | 'plain'

type Shot = {
  readonly look: Viewpoint
  readonly window: Window
  readonly room: Room
  /** Pixels. */
  readonly width: number
  readonly height: number
  readonly fullness: Fullness
  /** One of many pictures in a row: fine edges are left out. */
  readonly isMoving: boolean
  /** Even light that leaves every colour as it is. */
  readonly isNeutral: boolean
}

export type StandRenderer = {
  readonly show: (solids: readonly Solid[]) => void
  readonly draw: (shot: Shot) => void
  readonly isSoftware: boolean
  /** Whether a picture that was asked for is still being drawn. */
  readonly isBusy: () => boolean
  /** Comes true when the last picture is on the canvas. */
  readonly finished: () => Promise<void>
  readonly dispose: () => void
}

const SHADOW_PIXELS = 1024
const SMOOTHING_SAMPLES = 4
const ASKED_AGAIN_MS = 4
/** Fine edges would fall into dots where a pixel is wider than this. */
const FINE_SEEN_MM = 0.75
/** Where the light comes from, seen by the viewer of a stand that is not turned: left, towards the viewer, above. */
const SUN: readonly [number, number, number] = [-0.56, -0.6, 0.57]
const BEHIND: readonly [number, number, number] = [0.6, 0.7, 0.4]

/** A direction that stays with the viewer, in the space of a cake that is turned. */
function turnedWith([x, y, z]: readonly [number, number, number], turnDeg: number): Vector3 {
  const angle = (-turnDeg * Math.PI) / 180
  return new Vector3(
    x * Math.cos(angle) - y * Math.sin(angle),
    x * Math.sin(angle) + y * Math.cos(angle),
    z,
  ).normalize()
}

/** Laid over what is there by its cover. */
const LAID_OVER = {
  transparent: true,
  blending: CustomBlending,
  blendSrc: OneFactor,
  blendDst: OneMinusSrcAlphaFactor,
} as const

const softwareDrawers = /swiftshader|llvmpipe|software|basic render/i

/** What draws the stand on a canvas; null where the browser has no graphics for it. */
export function createStandRenderer(canvas: HTMLCanvasElement | OffscreenCanvas): StandRenderer | null {
  const context = canvas.getContext('webgl2', CANVAS_TRAITS) as WebGL2RenderingContext | null
  if (!context) return null
  return rendererOn(canvas, context)
}

function rendererOn(canvas: HTMLCanvasElement | OffscreenCanvas, context: WebGL2RenderingContext): StandRenderer {
  const renderer = new WebGLRenderer({ canvas, context, alpha: true })
  renderer.outputColorSpace = LinearSRGBColorSpace
  renderer.autoClear = false
  renderer.setClearColor(0x000000, 0)
  const drawer = context.getExtension('WEBGL_debug_renderer_info')
  const isSoftware =
    drawer !== null && softwareDrawers.test(String(context.getParameter(drawer.UNMASKED_RENDERER_WEBGL)))

  const uniforms = {
    toEye: { value: new Vector3() },
    halfway: { value: new Vector3() },
    sun: { value: new Vector3() },
    behind: { value: new Vector3() },
    isNeutral: { value: false },
    shade: { value: null as DepthTexture | null },
    shadeFrom: { value: new Matrix4() },
    shadeTexel: { value: 1 / SHADOW_PIXELS },
  }
  const shared = { uniforms, vertexShader: CORNER_SHADER, fragmentShader: POINT_SHADER, glslVersion: GLSL3 }
  const materialsOf = (defines: Record<string, string>) => ({
    solid: new ShaderMaterial({ ...shared, defines, side: DoubleSide }),
    thin: new ShaderMaterial({ ...shared, defines, ...LAID_OVER, side: DoubleSide }),
  })
  const materials = { plain: materialsOf({ PLAIN: '' }), full: materialsOf({}) }
  const shadowMaterial = new ShaderMaterial({
    vertexShader: CORNER_SHADER,
    fragmentShader: SHADOW_POINT_SHADER,
    glslVersion: GLSL3,
    side: DoubleSide,
    colorWrite: false,
  })
  const scene = new Scene()
  const meshes: Readonly<Record<Kind, Mesh>> = { solid: new Mesh(), fine: new Mesh(), thin: new Mesh() }
  for (const [order, kind] of KINDS.entries()) {
    const mesh = meshes[kind]
    mesh.renderOrder = order
    mesh.frustumCulled = false
    scene.add(mesh)
  }
  scene.matrixWorldAutoUpdate = false
  const camera = new Camera()
  const sunCamera = new OrthographicCamera()
  let shadows: WebGLRenderTarget | null = null
  let smooth: WebGLRenderTarget | null = null
  let merged: Merged | null = null

  const copy = new ShaderMaterial({
    uniforms: { picture: { value: null } },
    vertexShader: COPY_CORNER_SHADER,
    fragmentShader: COPY_POINT_SHADER,
    glslVersion: GLSL3,
    depthTest: false,
    depthWrite: false,
    ...LAID_OVER,
  })
  const copyScene = new Scene()
  const sheet = new BufferGeometry()
  sheet.setAttribute('position', new BufferAttribute(Float32Array.from([-1, -1, 0, 3, -1, 0, -1, 3, 0]), 3))
  const copied = new Mesh(sheet, copy)
  copied.frustumCulled = false
  copyScene.add(copied)

  const forget = (): void => {
    for (const kind of KINDS) merged?.[kind].geometry.dispose()
  }

  function drawShadows(sun: Vector3, { aimMm }: Viewpoint, { outMm, upMm, belowMm }: Room): void {
    shadows ??= new WebGLRenderTarget(SHADOW_PIXELS, SHADOW_PIXELS, {
      minFilter: NearestFilter,
      magFilter: NearestFilter,
      depthTexture: new DepthTexture(SHADOW_PIXELS, SHADOW_PIXELS, UnsignedIntType),
    })
    const around = Math.hypot(outMm, Math.max(upMm - aimMm, aimMm + belowMm)) * 1.05
    sunCamera.up.set(0, 0, 1)
    sunCamera.position.set(0, 0, aimMm).addScaledVector(sun, around * 2)
    sunCamera.lookAt(0, 0, aimMm)
    Object.assign(sunCamera, { left: -around, right: around, top: around, bottom: -around, near: 0, far: around * 4 })
    sunCamera.updateProjectionMatrix()
    sunCamera.updateMatrixWorld()
    scene.overrideMaterial = shadowMaterial
    renderer.setRenderTarget(shadows)
    renderer.clear()
    renderer.render(scene, sunCamera)
    scene.overrideMaterial = null
    uniforms.shade.value = shadows.depthTexture
    uniforms.shadeFrom.value.multiplyMatrices(sunCamera.projectionMatrix, sunCamera.matrixWorldInverse)
  }

  let drawing: Promise<void> | null = null
  /** Asked again and again without waiting: waiting would hold up everything else. */
  async function untilDrawn(): Promise<void> {
    const fence = context.fenceSync(context.SYNC_GPU_COMMANDS_COMPLETE, 0)
    context.flush()
    if (!fence) return
    while (!context.isContextLost() && context.clientWaitSync(fence, 0, 0) === context.TIMEOUT_EXPIRED)
      await new Promise((resolve) => setTimeout(resolve, ASKED_AGAIN_MS))
    context.deleteSync(fence)
  }

  return {
    isSoftware,
    isBusy: () => drawing !== null,
    finished: () => drawing ?? Promise.resolve(),
    show(solids) {
      forget()
      merged = geometryOf(solids)
      for (const kind of KINDS) meshes[kind].geometry = merged[kind].geometry
    },
    draw({ look, window, room, width, height, fullness, isMoving, isNeutral }) {
      if (!merged) return
      const sun = turnedWith(SUN, look.turnDeg)
      const around = Math.hypot(room.outMm, room.upMm + room.belowMm) * 1.2
      camera.matrixWorldInverse.fromArray([...viewMatrix(look)])
      camera.matrixWorld.copy(camera.matrixWorldInverse).invert()
      camera.projectionMatrix.fromArray([...projectionMatrix(look, window, around)])
      camera.projectionMatrixInverse.copy(camera.projectionMatrix).invert()
      camera.matrixWorldAutoUpdate = false
      const { from, along } = sightLine({ x: 0, y: 0 }, look)
      // The eye is so far away that it lies the same way from everything.
      uniforms.toEye.value.set(...along).negate()
      uniforms.sun.value.copy(sun)
      uniforms.halfway.value.copy(sun).add(uniforms.toEye.value).normalize()
      uniforms.behind.value.copy(turnedWith(BEHIND, look.turnDeg))
      uniforms.isNeutral.value = isNeutral
      const kinds = materials[isNeutral ? 'plain' : fullness]
      meshes.solid.material = kinds.solid
      meshes.fine.material = kinds.solid
      meshes.thin.material = kinds.thin
      meshes.fine.visible = !isMoving && window.width / width < FINE_SEEN_MM
      inOrder(merged, from)
      // Setting the size empties the canvas and takes room for it anew.
      if (canvas.width !== width || canvas.height !== height) renderer.setSize(width, height, false)
      if (kinds === materials.full) drawShadows(sun, look, room)
      if (fullness === 'full') {
        if (smooth && (smooth.width !== width || smooth.height !== height)) {
          smooth.dispose()
          smooth = null
        }
        smooth ??= new WebGLRenderTarget(width, height, {
          samples: SMOOTHING_SAMPLES,
          type: UnsignedByteType,
          minFilter: NearestFilter,
          magFilter: NearestFilter,
        })
        renderer.setRenderTarget(smooth)
        renderer.clear()
        renderer.render(scene, camera)
        copy.uniforms.picture!.value = smooth.texture
        renderer.setRenderTarget(null)
        renderer.clear()
        renderer.render(copyScene, camera)
      } else {
        renderer.setRenderTarget(null)
        renderer.clear()
        renderer.render(scene, camera)
      }
      const mine = untilDrawn().then(() => {
        if (drawing === mine) drawing = null
      })
      drawing = mine
    },
    dispose() {
      forget()
      shadows?.dispose()
      smooth?.dispose()
      sheet.dispose()
      const { plain, full } = materials
      for (const each of [plain.solid, plain.thin, full.solid, full.thin, shadowMaterial, copy]) each.dispose()
      renderer.dispose()
    },
  }
}
