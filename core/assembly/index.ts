export { cutWires, type WireCuts, type WireDemand } from './wireCuts'
