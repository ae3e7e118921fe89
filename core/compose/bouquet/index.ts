export {
  BOUQUET_ROLE_LABELS,
  BOUQUET_ROLES,
  bouquetSchema,
  gatheredSchema,
  placedAt,
  startingBouquet,
  type Bouquet,
  type BouquetPlace,
  type BouquetRole,
} from './define'
export { bouquetHandles, pullBouquet } from './handles'
export { packBouquet, type Packed } from './pack'
export { recipeCounts, type Member } from './recipe'
