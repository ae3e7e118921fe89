export { cutListFor, drapedFootprint, pieceAreaDm2, sailPart, withRecuts, type CutList, type Piece, type SizeClass } from './cutList'
