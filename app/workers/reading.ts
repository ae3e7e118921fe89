import { readers } from '~/files/readers'
import { serve } from './serve'

export type ReadingWorker = typeof readers

serve(readers)
