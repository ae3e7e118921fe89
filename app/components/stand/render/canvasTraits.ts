/** What a canvas must be asked for, the same each time. */
export const CANVAS_TRAITS: WebGLContextAttributes = { alpha: true, antialias: false, premultipliedAlpha: true }
