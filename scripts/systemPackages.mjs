// Installs the system's packages that the tests need, beside what does not wait for them.
import { ensureWhatTestsNeed } from './setup.mjs'

ensureWhatTestsNeed()
