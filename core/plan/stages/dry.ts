/** How soaked paper dries here: estimates, and what would be quicker. */
import { extentOf, type PlannedDecoration } from '../../decoration'
import {
  dryingRemedies,
  paperSheet,
  type estimateDrying,
  type settingMin,
  type Climate,
  type DryingEstimate,
  type DryingLearned,
  type DryingRemedy,
} from '../../dry'
import { driedPaper, type Learned } from '../../learn'
import { paperOf, type PaperId } from '../../material'
import { starting, typed, type Working } from '../../quantity'

/** A room in a damp spell. */
const DAMP = 0.75

/** Soaked paper drying in one way, for all decorations that dry so: here, in a damp spell, and what would be quicker. */
export type SoakedDrying = {
  readonly id: string
  readonly paper: PaperId
  readonly thicknessMm: number
  readonly drying: PlannedDecoration['drying']
  readonly decorations: readonly string[]
  readonly estimate: DryingEstimate
  readonly whenDamp: DryingEstimate
  readonly remedies: readonly DryingRemedy[]
}

/** Whether some step waits until soaked paper has dried. */
const isSoaked = ({ steps }: Pick<PlannedDecoration, 'steps'>): boolean =>
  steps.some(({ rest }) => rest && 'until' in rest && rest.from === 'soaked')

const dryingKey = ({ paper, thicknessMm, drying }: Pick<PlannedDecoration, 'paper' | 'thicknessMm' | 'drying'>) =>
  [paper, thicknessMm, drying.way, drying.soakWaterC, drying.way === 'oven' ? drying.ovenC : ''].join(' ')

/** How thick sheets are: as such paper usually is, until another thickness is typed at the shelf. */
const thicknessOf = (paper: PaperId, mm: number): Working =>
  mm === paperOf(paper).thicknessMm
    ? starting('film thickness', mm, 'length', 'usual')
    : typed('film thickness', mm, 'length', 'Cut')

type DryInputs = {
  readonly decorations: readonly Pick<
    PlannedDecoration,
    'id' | 'paper' | 'thicknessMm' | 'drying' | 'steps' | 'elements' | 'classes'
  >[]
  /** Desiccant at hand, g. */
  readonly desiccantG: number
  readonly workroom: Climate
  readonly venue: Climate
  readonly transport: Climate
  readonly learned: Learned['drying']
  readonly limit: DryingLearned['limit']
}

/** The walks of the drying curve, each remembered by its own inputs: how much is dried changes none of them. */
export type DryMemory = { readonly estimate: typeof estimateDrying; readonly setting: typeof settingMin }

/** Each way in which soaked paper dries in this job. */
export const dryStage =
  (memory: DryMemory) =>
  (inputs: DryInputs): readonly SoakedDrying[] => {
    const { decorations, workroom, venue, transport, learned, limit, desiccantG } = inputs
    const groups = new Map<string, DryInputs['decorations'][number][]>()
    for (const each of decorations.filter((one) => one.elements.length > 0 && isSoaked(one)))
      groups.set(dryingKey(each), [...(groups.get(dryingKey(each)) ?? []), each])
    return [...groups].map(([id, members]): SoakedDrying => {
      const { paper, thicknessMm, drying } = members[0]!
      const { kind } = paperOf(paper)
      const sheet = paperSheet(kind, thicknessMm)
      const { way, soakWaterC, ovenC } = drying
      const areaDm2 = members.reduce((sum, { classes }) => sum + extentOf(classes).area.value, 0)
      const known = { factor: learned[driedPaper(paper, 'firm')] ?? null, limit }
      const question = {
        kind,
        thickness: thicknessOf(paper, thicknessMm),
        way,
        soakWaterC,
        ovenC,
        venue,
        transport,
        learned: known,
      }
      return {
        id,
        paper,
        thicknessMm,
        drying,
        decorations: members.map((each) => each.id),
        estimate: memory.estimate({ ...question, workroom }),
        whenDamp: memory.estimate({ ...question, workroom: { ...workroom, humidity: DAMP } }),
        remedies: dryingRemedies(sheet, workroom, ovenC, { areaDm2, desiccantG }, memory.setting),
      }
    })
  }

/** How soaked paper of a decoration dries. */
export const dryingOf = (dryings: readonly SoakedDrying[], decoration: string): SoakedDrying | null =>
  dryings.find(({ decorations }) => decorations.includes(decoration)) ?? null
