// Loads modules of core, which is TypeScript, into a plain script.
import { runnerImport } from 'vite'
import { root } from './setup.mjs'

export const loadModule = async (path) =>
  (
    await runnerImport(`${root}/${path}`, {
      root,
      configFile: false,
      logLevel: 'error',
      resolve: { alias: { '#core': `${root}/core` } },
    })
  ).module
