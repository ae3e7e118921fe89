export { cutListFor, drapedFootprint, pieceAreaDm2, sailPart, withRecuts, type CutList, type Piece } from './cutList'
