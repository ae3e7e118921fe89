// Installs what is missing, builds what has changed, starts Lamellon and prints its address.
import { checkNode, ensureBuilt, ensureInstalled, freePort, startServer } from './setup.mjs'

checkNode()
ensureInstalled()
ensureBuilt()
const { server, address } = await startServer(await freePort(Number(process.env.PORT ?? 4300)))
console.log(
  `\nLamellon is open at ${address}/demo\nThe demo commission is on the stand; ${address} is a studio of your own. Ctrl+C stops.\n`,
)

const stop = () => server.kill()
process.on('SIGINT', stop)
process.on('SIGTERM', stop)
server.on('exit', (code) => process.exit(code ?? 0))
