// The package's main entry does not load under Node; this one does, and has no types of its own.
declare module 'maxrects-packer/dist/maxrects-packer.mjs' {
  export { MaxRectsPacker } from 'maxrects-packer'
}
