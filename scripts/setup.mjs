// What every start-up script needs, in plain Node: checks the version, installs what is missing, remembers by hashes
// what is up to date.
import { spawn, spawnSync } from 'node:child_process'
import { createHash } from 'node:crypto'
import { existsSync, readdirSync, readFileSync, renameSync, rmSync, statSync, writeFileSync } from 'node:fs'
import { createServer } from 'node:net'
import { availableParallelism } from 'node:os'
import { basename, dirname, join } from 'node:path'
import { fileURLToPath, pathToFileURL } from 'node:url'

export const root = dirname(dirname(fileURLToPath(import.meta.url)))
const LEAST_NODE = [20, 19]
const onWindows = process.platform === 'win32'

/** Whether there is a core for a second search of a nesting job. */
export const hasSecondCore = () => availableParallelism() > 1

export const npm = onWindows ? 'npm.cmd' : 'npm'
export const bin = (name) => join(root, 'node_modules', '.bin', onWindows ? `${name}.cmd` : name)

export function checkNode() {
  const [major, minor] = process.versions.node.split('.').map(Number)
  if (major > LEAST_NODE[0] || (major === LEAST_NODE[0] && minor >= LEAST_NODE[1])) return
  console.error(`Lamellon needs Node.js ${LEAST_NODE.join('.')} or newer; this is ${process.versions.node}.`)
  process.exit(1)
}

/** Runs a command in the project, showing what it prints; ends this script when it fails. */
function run(command, args, options = {}) {
  const done = spawnSync(command, args, { cwd: root, stdio: 'inherit', ...options })
  if (done.status === 0) return
  console.error(`${command} ${args.join(' ')} ended with ${done.status ?? done.error?.message ?? 'no code'}.`)
  process.exit(done.status ?? 1)
}

function hashOf(paths) {
  const hash = createHash('sha256').update(process.versions.node)
  const visit = (path) => {
    const full = join(root, path)
    if (!existsSync(full)) return
    if (statSync(full).isDirectory())
      readdirSync(full)
        .sort()
        .forEach((name) => visit(join(path, name)))
    else hash.update(path).update(readFileSync(full))
  }
  paths.forEach(visit)
  return hash.digest('hex')
}

const isCurrent = (stamp, hash) => existsSync(stamp) && readFileSync(stamp, 'utf8') === hash

/** Installs the packages of the lockfile unless they are there already. */
export function ensureInstalled() {
  const stamp = join(root, 'node_modules', '.lamellon-installed')
  const hash = hashOf(['package.json', 'package-lock.json', '.npmrc'])
  if (isCurrent(stamp, hash)) return
  console.error('Installing packages (a minute or two, once)…')
  // What npm says goes to the error stream, so that `plan --json` prints nothing but the plan.
  run(npm, ['ci', '--no-audit', '--no-fund'], { shell: onWindows, stdio: ['ignore', 2, 2] })
  writeFileSync(stamp, hash)
}

/** Builds the application unless the last build is of these very sources. */
export function ensureBuilt() {
  const stamp = join(root, '.output', '.lamellon-built')
  const hash = () => hashOf(['app', 'core', 'server', 'public', 'nuxt.config.ts', 'package-lock.json'])
  if (isCurrent(stamp, hash()) && existsSync(join(root, '.output/server/index.mjs'))) return
  console.log('Building (a minute, after changes)…')
  run(process.execPath, [join(root, 'scripts/schema.mjs')])
  run(process.execPath, [join(root, 'node_modules/nuxt/bin/nuxt.mjs'), 'build', '--logLevel', 'silent'], {
    env: { ...process.env, NODE_ENV: 'production' },
  })
  writeFileSync(stamp, hash())
}

/** A free port on this machine: the wanted one if it is free. */
export async function freePort(wanted) {
  const attempt = (port) =>
    new Promise((resolve) => {
      const probe = createServer()
      probe.once('error', () => resolve(null))
      probe.listen(port, '127.0.0.1', () => {
        const { port: got } = probe.address()
        probe.close(() => resolve(got))
      })
    })
  return (await attempt(wanted)) ?? attempt(0)
}

/** Starts the built application; resolves with its process once it answers. */
export async function startServer(port) {
  const server = spawn(process.execPath, [join(root, '.output/server/index.mjs')], {
    env: { ...process.env, HOST: '127.0.0.1', PORT: String(port) },
    stdio: ['ignore', 'ignore', 'inherit'],
  })
  const address = `http://127.0.0.1:${port}`
  for (let attempt = 0; attempt < 150 && server.exitCode === null; attempt += 1) {
    const answers = await fetch(address).then(
      (response) => response.ok,
      () => false,
    )
    if (answers) return { server, address }
    await new Promise((resolve) => setTimeout(resolve, 100))
  }
  server.kill()
  throw new Error(`The application did not start on ${address}.`)
}

/** What Chromium is asked for to draw in depth without a graphics card, and to put pages together as it does then. */
export const IN_DEPTH = [
  '--disable-gpu-compositing',
  '--use-gl=angle',
  '--use-angle=swiftshader',
  '--enable-unsafe-swiftshader',
]

/** Where Chromium is, or nothing: the one without windows first, as those that are never seen cost a third of the work. */
export const findChromium = () =>
  [
    process.env.CHROMIUM_PATH,
    '/usr/bin/chromium-headless-shell',
    '/usr/bin/chromium',
    '/usr/bin/chromium-browser',
    '/Applications/Chromium.app/Contents/MacOS/Chromium',
  ].find((path) => path && existsSync(path))

const CHROMIUM = {
  name: 'chromium-headless-shell',
  isThere: findChromium,
  otherwise: "The end-to-end tests need Chromium. Install your system's chromium package, or set CHROMIUM_PATH.",
}
/** What prints are measured with: pages of a PDF as pixels. */
const PAGE_READER = {
  name: 'poppler-utils',
  isThere: () => spawnSync('pdftoppm', ['-v']).status === 0,
  otherwise: "The end-to-end tests measure printed pages with pdftoppm. Install your system's poppler-utils package.",
}

/** Installs those of the system's packages that are missing, if this user may. */
function ensurePackages(wanted) {
  const missing = wanted.filter(({ isThere }) => !isThere())
  if (missing.length === 0) return
  const mayInstall = process.getuid?.() === 0 && spawnSync('apt-get', ['--version']).status === 0
  if (!mayInstall) {
    for (const { otherwise } of missing) console.error(otherwise)
    process.exit(1)
  }
  const names = missing.map(({ name }) => name)
  console.log(`Installing ${names.join(' and ')} from the system's packages…`)
  const env = { ...process.env, DEBIAN_FRONTEND: 'noninteractive' }
  run('apt-get', ['update', '-qq'], { env })
  run('apt-get', ['install', '-y', '-qq', '--no-install-recommends', ...names], {
    env,
    stdio: ['ignore', 'ignore', 'inherit'],
  })
}

export const ensureChromium = () => ensurePackages([CHROMIUM])
export const ensureWhatTestsNeed = () => ensurePackages([CHROMIUM, PAGE_READER])

/**
 * One module of ours with all it imports of ours, as plain JavaScript; made again only when the sources changed. It
 * starts at once and runs at full speed.
 */
export async function bundleOf(entry) {
  const folder = join(root, 'node_modules', '.cache', 'lamellon')
  const path = join(folder, `${basename(entry, '.ts')}.mjs`)
  const stamp = `${path}.stamp`
  const hash = hashOf(['core', dirname(entry), 'package-lock.json'])
  if (isCurrent(stamp, hash) && existsSync(path)) return { path: pathToFileURL(path).href, isNew: false }
  const { build } = await import('vite')
  // Made aside and put in place whole: another may be reading the one before, or making the same.
  const aside = join(folder, `${basename(entry, '.ts')}-${process.pid}`)
  await build({
    root,
    configFile: false,
    logLevel: 'error',
    resolve: { alias: { '#core': join(root, 'core') } },
    build: {
      ssr: entry,
      outDir: aside,
      copyPublicDir: false,
      target: 'node20',
      rollupOptions: { output: { entryFileNames: `${basename(entry, '.ts')}.mjs` } },
    },
  })
  renameSync(join(aside, basename(path)), path)
  rmSync(aside, { recursive: true })
  writeFileSync(stamp, hash)
  return { path: pathToFileURL(path).href, isNew: true }
}
