import { useSubmitted } from '~/composables/submitted'
import { usePlanned } from '~/composables/planned'
import type { Workshop } from '#core/workshop'
import type { z } from 'zod'

/** What every trial is told with, when and where it is kept. */
type Told = { readonly id: string; readonly at: number; readonly room: string; readonly odd: boolean }

/** A trial of a kind, checked by its schema and kept in the workshop when it is submitted. */
export function useTrial<Trial extends Told>(
  schema: z.ZodType<Trial, Trial>,
  begins: () => Omit<Trial, keyof Told>,
  keep: (workshop: Workshop, trial: Trial) => void,
) {
  const { studio, workshop } = usePlanned()
  const told = (): Told => ({ id: crypto.randomUUID(), at: studio.now, room: workshop.value.room, odd: false })
  return useSubmitted<Trial, Trial>(
    schema,
    () => ({ ...begins(), ...told() }) as Trial,
    (trial) =>
      studio.edit('trial logged', (draft) => {
        keep(draft.workshop, { ...trial, ...told() })
      }),
  )
}
