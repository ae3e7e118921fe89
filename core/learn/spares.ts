/** How many spares it takes, when so many pieces break. */
import type { Breakage } from './hands'

/** Enough pieces are good in so many of ten jobs. */
const ENOUGH = 0.9

/**
 * Chance that at least `needed` of `made` pieces are good, when the share that breaks is only known from so many
 * pieces: a beta belief, so that the number of broken ones is beta-binomial.
 * @see Johnson, Kemp & Kotz 2005, 6.2.2
 */
export function chanceOfEnough(
  needed: number,
  made: number,
  { share, known }: Pick<Breakage, 'share' | 'known'>,
): number {
  if (made < needed) return 0
  if (share <= 0) return 1
  const [broken, good] = [share * known, (1 - share) * known]
  let log = 0
  for (let piece = 0; piece < made; piece += 1) log += Math.log((good + piece) / (known + piece))
  let chance = Math.exp(log)
  for (let lost = 0; lost < made - needed; lost += 1) {
    log += Math.log(((made - lost) / (lost + 1)) * ((broken + lost) / (good + made - lost - 1)))
    chance += Math.exp(log)
  }
  return Math.min(1, chance)
}

/**
 * The fewest spares with which enough pieces are good in nine jobs of ten.
 *
 * By hand, when the share is known well: 20 needed and 35 % broken takes 31 on average, 11 spare, and 15 spare for nine
 * in ten.
 */
export function sparesFor(needed: number, breakage: Pick<Breakage, 'share' | 'known'>): number {
  let spares = Math.max(0, Math.floor((needed * breakage.share) / (1 - breakage.share)))
  while (spares > 0 && chanceOfEnough(needed, needed + spares - 1, breakage) >= ENOUGH) spares -= 1
  while (chanceOfEnough(needed, needed + spares, breakage) < ENOUGH) spares += 1
  return spares
}
