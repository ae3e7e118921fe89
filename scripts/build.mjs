// Builds the application for the tests, beside others of them.
import { ensureBuilt } from './setup.mjs'

ensureBuilt()
