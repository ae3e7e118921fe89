/** What is cut: parts of decorations, and pieces of the decorator's own. */
import { ownOutlines, type CutPart, type OwnPiece } from '../../../cut'
import type { PieceClass, PlannedDecoration } from '../../../decoration'
import { paperOf, type PaperId } from '../../../material'
import { found, typed } from '../../../quantity'

/** Both faces of film are alike; wafer has a smooth one, which some pieces need. Print is on one face only. */
const mayTurnOver = (paper: PaperId, face: string, printed: boolean): boolean =>
  !printed && (paperOf(paper).kind === 'film' || face.startsWith('either'))

type Cuttable = Pick<
  PieceClass,
  | 'id'
  | 'name'
  | 'outline'
  | 'holes'
  | 'colour'
  | 'needed'
  | 'spares'
  | 'face'
  | 'print'
  | 'members'
  | 'sector'
  | 'edge'
>

/** What is cut of one paper in one way: a decoration, or a piece of the decorator's own. */
export type CutWork = Pick<PlannedDecoration, 'id' | 'paper' | 'shapes' | 'cutting' | 'treated'> & {
  readonly classes: readonly Cuttable[]
}

/** What is cut, told by no more than cutting asks for, so that nothing else lays sheets anew. */
export const workToCut = (
  decorations: readonly PlannedDecoration[],
  ownPieces: readonly OwnPiece[],
): readonly CutWork[] => [
  ...decorations.map(({ id, paper, shapes, classes, cutting, treated }) => ({
    id,
    paper,
    shapes,
    classes,
    cutting,
    treated,
  })),
  ...ownPieces.map(ownWork),
]

/** The parts of a decoration: its classes, with spares. */
export const partsOf = ({ id, paper, classes }: Pick<CutWork, 'id' | 'paper' | 'classes'>): readonly CutPart[] =>
  classes.map(({ id: part, name, outline, holes, colour, needed, spares, face, print, members, sector, edge }) => ({
    id: part,
    decoration: id,
    name,
    colour,
    outline,
    holes,
    quantity: needed.value + spares.value,
    mirror: mayTurnOver(paper, face, print.length > 0),
    members,
    ...(sector && { sector }),
    ...(edge && { edge }),
  }))

/** A piece of the decorator's own as work to cut; it has no spares but those that were asked for. */
export const ownWork = (own: OwnPiece): CutWork => ({
  id: own.id,
  paper: own.paper,
  shapes: own.stock.length > 0 ? own.stock : paperOf(own.paper).shapes.slice(0, 1),
  cutting: own.cutting,
  treated: '',
  classes: [
    {
      id: `${own.id}/piece`,
      sector: null,
      edge: null,
      name: own.name,
      ...ownOutlines(own),
      colour: own.colour,
      needed: typed(`“${own.name}”`, own.quantity, 'count', 'Cut, pieces from a drawing'),
      spares: found('spares', 0, 'count', 'ask for more'),
      face: 'either face out',
      print: [],
      members: [],
    },
  ],
})
