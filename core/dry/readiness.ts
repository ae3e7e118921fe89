/**
 * When is a piece ready? One ruler: how far its softening temperature lies above the room, in kelvin.
 * Starch without glycerin is stiff when that margin is large and limp when it is negative.
 */
import { kelvin } from './air'

export const READINESS = ['touch', 'handle', 'firm', 'set'] as const
export type Readiness = (typeof READINESS)[number]

/** Margin at which each state is reached, K (usual practice: the ruler is physics, the marks are judgement). */
const MARGIN_K: Readonly<Record<Readiness | 'softAgain', number>> = {
  touch: -8,
  handle: 15,
  firm: 30,
  softAgain: 35,
  set: 40,
}

const STARCH_TG_K = 502
const WATER_TG_K = 136
const WATER_WEIGHT = 5.2

const GLYCERIN_TG_K = 193
const GLYCERIN_WEIGHT = 2.6

/** Softening temperature of starch holding so much water and glycerin, g per g, kelvin. @see Gordon & Taylor 1952 */
export function softeningKelvin(moisture: number, glycerinGG = 0): number {
  const [water, glycerin] = [WATER_WEIGHT * moisture, GLYCERIN_WEIGHT * glycerinGG]
  return (STARCH_TG_K + water * WATER_TG_K + glycerin * GLYCERIN_TG_K) / (1 + water + glycerin)
}

/** The moisture at which a state is reached in a room of this warmth: the inverse of the softening temperature. */
export function moistureOf(state: Readiness | 'softAgain', roomC: number, glycerinGG = 0): number {
  const target = kelvin(roomC) + MARGIN_K[state]
  return (
    (STARCH_TG_K - target + GLYCERIN_WEIGHT * glycerinGG * (GLYCERIN_TG_K - target)) /
    (WATER_WEIGHT * (target - WATER_TG_K))
  )
}
