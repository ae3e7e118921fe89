import {
  BufferAttribute,
  BufferGeometry,
  Camera,
  CustomBlending,
  DepthTexture,
  DoubleSide,
  GLSL3,
  Group,
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
import { projectionMatrix, sightLine, viewMatrix, type Look, type Room, type Solid, type Window } from '#core/draw'
import { COPY_CORNER_SHADER, COPY_POINT_SHADER, CORNER_SHADER, POINT_SHADER, SHADOW_POINT_SHADER } from './light'
import { geometryOf, nearestLast, type Merged } from './merged'

/** How much is drawn: all; without shadows and smooth edges, for while it moves. */
export type Fullness = 'full' | 'plain'

export type Shot = {
  readonly look: Look
  readonly window: Window
  readonly room: Room
  /** Pixels. */
  readonly width: number
  readonly height: number
  readonly fullness: Fullness
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

const softwareDrawers = /swiftshader|llvmpipe|software|basic render/i

/** What draws the stand on a canvas; null where the browser has no graphics for it. */
export function createStandRenderer(canvas: HTMLCanvasElement): StandRenderer | null {
  const found = canvas.getContext('webgl2', { alpha: true, antialias: false, premultipliedAlpha: true })
  if (!found) return null
  const context = found
  const renderer = new WebGLRenderer({ canvas, context, alpha: true })
  renderer.outputColorSpace = LinearSRGBColorSpace
  renderer.autoClear = false
  renderer.setClearColor(0x000000, 0)
  const drawer = context.getExtension('WEBGL_debug_renderer_info')
  const isSoftware =
    drawer !== null && softwareDrawers.test(String(context.getParameter(drawer.UNMASKED_RENDERER_WEBGL)))

  const uniforms = {
    eye: { value: new Vector3() },
    sun: { value: new Vector3() },
    behind: { value: new Vector3() },
    isPlain: { value: true },
    isNeutral: { value: false },
    shade: { value: null as DepthTexture | null },
    shadeFrom: { value: new Matrix4() },
    shadeTexel: { value: 1 / SHADOW_PIXELS },
  }
  const shared = { uniforms, vertexShader: CORNER_SHADER, fragmentShader: POINT_SHADER, glslVersion: GLSL3 }
  const solidMaterial = new ShaderMaterial({ ...shared, side: DoubleSide })
  const thinMaterial = new ShaderMaterial({
    ...shared,
    side: DoubleSide,
    transparent: true,
    blending: CustomBlending,
    blendSrc: OneFactor,
    blendDst: OneMinusSrcAlphaFactor,
  })
  const shadowMaterial = new ShaderMaterial({
    vertexShader: CORNER_SHADER,
    fragmentShader: SHADOW_POINT_SHADER,
    glslVersion: GLSL3,
    side: DoubleSide,
    colorWrite: false,
  })
  const scene = new Scene()
  const group = new Group()
  scene.add(group)
  scene.matrixWorldAutoUpdate = false
  const camera = new Camera()
  const sunCamera = new OrthographicCamera()
  let shadows: WebGLRenderTarget | null = null
  let smooth: WebGLRenderTarget | null = null
  let merged: Merged | null = null
  let thinGeometry: BufferGeometry | null = null

  const copy = new ShaderMaterial({
    uniforms: { picture: { value: null } },
    vertexShader: COPY_CORNER_SHADER,
    fragmentShader: COPY_POINT_SHADER,
    glslVersion: GLSL3,
    depthTest: false,
    depthWrite: false,
    transparent: true,
    blending: CustomBlending,
    blendSrc: OneFactor,
    blendDst: OneMinusSrcAlphaFactor,
  })
  const copyScene = new Scene()
  const sheet = new BufferGeometry()
  sheet.setAttribute('position', new BufferAttribute(Float32Array.from([-1, -1, 0, 3, -1, 0, -1, 3, 0]), 3))
  const copied = new Mesh(sheet, copy)
  copied.frustumCulled = false
  copyScene.add(copied)

  const forget = (): void => {
    for (const child of [...group.children]) {
      group.remove(child)
      ;(child as Mesh).geometry.dispose()
    }
  }
  const add = (geometry: BufferGeometry, material: ShaderMaterial, order: number): void => {
    const mesh = new Mesh(geometry, material)
    mesh.frustumCulled = false
    mesh.renderOrder = order
    group.add(mesh)
  }

  function drawShadows(sun: Vector3, { aimMm }: Look, { outMm, upMm, belowMm }: Room): void {
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
      add(merged.solid, solidMaterial, 0)
      add(merged.thin, thinMaterial, 1)
      thinGeometry = merged.thin
    },
    draw({ look, window, room, width, height, fullness, isNeutral }) {
      if (!merged || !thinGeometry) return
      const sun = turnedWith(SUN, look.turnDeg)
      const around = Math.hypot(room.outMm, room.upMm + room.belowMm) * 1.2
      camera.matrixWorldInverse.fromArray([...viewMatrix(look)])
      camera.matrixWorld.copy(camera.matrixWorldInverse).invert()
      camera.projectionMatrix.fromArray([...projectionMatrix(look, window, around)])
      camera.projectionMatrixInverse.copy(camera.projectionMatrix).invert()
      camera.matrixWorldAutoUpdate = false
      const { from } = sightLine({ x: 0, y: 0 }, look)
      uniforms.eye.value.set(...from)
      uniforms.sun.value.copy(sun)
      uniforms.behind.value.copy(turnedWith(BEHIND, look.turnDeg))
      uniforms.isNeutral.value = isNeutral
      uniforms.isPlain.value = fullness === 'plain' || isNeutral
      nearestLast(merged, from)
      renderer.setPixelRatio(1)
      renderer.setSize(width, height, false)
      if (!uniforms.isPlain.value) drawShadows(sun, look, room)
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
      for (const material of [solidMaterial, thinMaterial, shadowMaterial, copy]) material.dispose()
      renderer.dispose()
    },
  }
}
