import { computed } from 'vue'
import { dippedSteps, namesApart, type Bath } from '#core/tint'
import { usePlanned } from '~/composables/planned'

const shadeId = (bath: Bath, shade: number): string => `${bath.id} ${shade}`

/** What shades of baths and dishes are called, in words, no two alike. */
export function useDishNames() {
  const { plan, commission } = usePlanned()
  const names = computed(() => {
    const { baths, dishes } = plan.value.dishes
    return namesApart(
      [
        ...baths.flatMap((bath) =>
          dippedSteps(bath).map(({ shade, predictedHex }) => ({ id: shadeId(bath, shade), hex: predictedHex })),
        ),
        ...dishes.map(({ id, predictedHex }) => ({ id, hex: predictedHex })),
      ],
      commission.value.palette,
    )
  })
  return {
    ofShade: (bath: Bath, shade: number): string => names.value.get(shadeId(bath, shade))!,
    ofDish: (id: string): string => names.value.get(id)!,
  }
}
