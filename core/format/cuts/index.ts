export { writeDxf } from './dxf'
export { writePlotter } from './plotter'
