export {
  accentMesh,
  accentOf,
  accentSchema,
  followed,
  startingAccent,
  type AccentId,
  type Anchor,
  type FollowingAccent,
} from './follow'
export { ACCENTS } from './kinds'
