import { z } from 'zod'

/** A picture kept with the commission, shrunk in the browser and carried in the file. */
export const photoSchema = z.strictObject({
  id: z.string().min(1).max(60),
  name: z.string().min(1).max(120),
  dataUrl: z
    .string()
    .max(600_000)
    .regex(/^data:image\/(jpeg|png|webp);base64,[A-Za-z0-9+/=]+$/, 'A picture is expected.'),
  widthPx: z.number().int().min(1).max(4000),
  heightPx: z.number().int().min(1).max(4000),
})

export type Photo = z.infer<typeof photoSchema>
