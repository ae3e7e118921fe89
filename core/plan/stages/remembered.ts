/** The slow stages, each remembered by what goes into it. */
import { stackTiers } from '../../cake'
import { plannedDecoration } from '../../decoration'
import { conditionedTouchMin, estimateDrying, settingMin } from '../../dry'
import { learnedFrom } from '../../learn'
import { TECHNIQUES } from '../../technique'
import { contents, remember } from '../remember'
import { accentStage } from './accents'
import { bouquetStage } from './bouquets'
import { cakeStage } from './cake'
import { cutStage } from './cut'
import { advisedWay } from './cutting/settled'
import { layByRule } from './cutting/laying'
import { conditionedStage } from './conditioned'
import { dryStage } from './dry'
import { onTheCakeStage } from './onTheCake'
import { paperStage } from './paper'
import { slowingOf } from './rests'
import { scheduleStage, timetableStage, toDoStage } from './schedule'
import { tintStage } from './tint'
import { workStage } from './work'

/** What each technique begins with as spares. */
const STARTING_SPARES = Object.fromEntries(TECHNIQUES.map(({ id, spareShare }) => [id, spareShare.value]))

/** A fresh memory for every stage that is worth one. */
export function rememberStages() {
  const told = contents()
  return {
    paper: paperStage(remember(cutStage(remember(advisedWay, told), remember(layByRule, told)), told)),
    learn: remember((ledger: Parameters<typeof learnedFrom>[0]) => learnedFrom(ledger, STARTING_SPARES), told),
    stack: remember(stackTiers, told),
    cake: remember(cakeStage, told),
    bouquet: remember(bouquetStage, told),
    decoration: remember(plannedDecoration, told),
    accent: remember(accentStage, told),
    tint: remember(tintStage, told),
    slowing: remember(slowingOf, told),
    conditioned: remember(conditionedStage(remember(conditionedTouchMin, told)), told),
    dry: remember(dryStage({ estimate: remember(estimateDrying, told), setting: remember(settingMin, told) }), told),
    onTheCake: remember(onTheCakeStage, told),
    work: remember(workStage, told),
    toDo: remember(toDoStage, told),
    schedule: remember(scheduleStage, told),
    timetable: remember(timetableStage, told),
  }
}

export type RememberedStages = ReturnType<typeof rememberStages>
