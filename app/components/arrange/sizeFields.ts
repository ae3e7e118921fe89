import type { AnyTechnique } from '#core/technique'

/** Parameters that say how large the elements of a technique are. */
export const sizeFields = ({ sizedBy, parameters }: AnyTechnique): readonly string[] =>
  (sizedBy ?? ['seenMm']).filter((key) => key in parameters.shape)

/** The other parameters of a technique. */
export const fieldsBesideSize = (technique: AnyTechnique): readonly string[] => {
  const size = sizeFields(technique)
  return Object.keys(technique.parameters.shape).filter((key) => !size.includes(key))
}
