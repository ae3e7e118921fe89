/** What work is made of: decorations with their baths and rests, hands, and places to lie on. */
import { type PlannedDecoration, type TypedMinutes } from '../../decoration'
import type { Recut } from '../../ledger'
import { type Learned } from '../../learn'
import { type Pace } from '../../schedule'
import type { Ingredient } from '../../technique'
import { type Bath } from '../../tint'
import type { Workshop } from '../../workshop'
import type { CutGroup } from './cutting/group'
import { type SoakedDrying } from './dry'
import { type Slowing } from './rests'

export type WorkInputs = {
  readonly decorations: readonly PlannedDecoration[]
  /** What is cut together, for the minutes it takes. */
  readonly groups: readonly Pick<CutGroup, 'parts' | 'minutes' | 'sheets'>[]
  readonly baths: readonly Bath[]
  readonly dryings: readonly SoakedDrying[]
  readonly slowing: Slowing
  /** What a client wants left out, so that mixtures are replaced. */
  readonly unwanted: readonly Ingredient[]
  readonly learned: Pick<Learned, 'drying' | 'hands'>
  readonly recuts: readonly Recut[]
  readonly pace: Pace
  readonly stepMinutes: TypedMinutes
  readonly mats: Workshop['mats']
  readonly trays: Workshop['trays']
  readonly ovenPlaces: number
  readonly moulds: Workshop['moulds']
}
