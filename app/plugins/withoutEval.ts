import { config } from 'zod'
import { defineNuxtPlugin } from '#imports'

// Our pages allow no script to be made from text; schemas are told, so that they do not try.
config({ jitless: true })

export default defineNuxtPlugin(() => undefined)
