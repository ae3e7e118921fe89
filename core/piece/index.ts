export { cutListFor, drapedFootprint, pieceAreaDm2, type CutList, type Piece, type SizeClass } from './cutList'
