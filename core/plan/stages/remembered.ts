/** The slow stages, each remembered by what goes into it. */
import { stackTiers } from '../../cake'
import { plannedDecoration } from '../../decoration'
import { learnedFrom } from '../../learn'
import { TECHNIQUES } from '../../technique'
import { remember } from '../remember'
import { accentStage } from './accents'
import { bouquetStage } from './bouquets'
import { cakeStage } from './cake'
import { cutStage } from './cut'
import { advisedWay } from './cutting/settled'
import { conditionedOf } from './conditioned'
import { dryStage } from './dry'
import { onTheCakeStage } from './onTheCake'
import { paperStage } from './paper'
import { slowingOf } from './rests'
import { scheduleStage, timetableStage } from './schedule'
import { tintStage } from './tint'
import { workStage } from './work'

/** What each technique begins with as spares. */
const STARTING_SPARES = Object.fromEntries(TECHNIQUES.map(({ id, spareShare }) => [id, spareShare.value]))

/** A fresh memory for every stage that is worth one. */
export const rememberStages = () => ({
  paper: paperStage(remember(cutStage(remember(advisedWay)))),
  learn: remember((ledger: Parameters<typeof learnedFrom>[0]) => learnedFrom(ledger, STARTING_SPARES)),
  stack: remember(stackTiers),
  cake: remember(cakeStage),
  bouquet: remember(bouquetStage),
  decoration: remember(plannedDecoration),
  accent: remember(accentStage),
  tint: remember(tintStage),
  slowing: remember(slowingOf),
  conditioned: remember(conditionedOf),
  dry: remember(dryStage),
  onTheCake: remember(onTheCakeStage),
  work: remember(workStage),
  schedule: remember(scheduleStage),
  timetable: remember(timetableStage),
})

export type RememberedStages = ReturnType<typeof rememberStages>
