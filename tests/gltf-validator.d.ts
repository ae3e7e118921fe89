/** The part of the glTF validator that is used; the package has no types of its own. */
declare module 'gltf-validator' {
  export function validateBytes(bytes: Uint8Array): Promise<{ readonly issues: { readonly numErrors: number } }>
}
