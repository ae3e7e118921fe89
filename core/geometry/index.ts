export { circle, convexHull, cornersAlong, flipMove, isInside, laidOut, laidPoint, outlineAreaMm2, outlineLengthMm, pointAt, polyline, rectangle, sector, withShortArcs, type Outline, type Point, type Segment } from './outline'
export { add, cross, dot, outward, scale, unit, type Point3 } from './space'
