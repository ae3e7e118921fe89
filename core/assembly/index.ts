export { cutWires, type WireCuts, type WireDemand, type WirePattern } from './wireCuts'
