/** The app behind an address of its own, which can be made to hand out a newer build. */
import { createServer, type Server } from 'node:http'
import type { AddressInfo } from 'node:net'

export type Served = { readonly address: string; readonly renew: () => void; readonly close: () => Promise<void> }

/**
 * Serves what another address serves. Once renewed, the list of what a build is made of is another, as after every
 * build, and one script that the build before was made of is gone from the server.
 * @param gone a path that is missing in the newer build
 */
export async function served(from: string, gone: RegExp): Promise<Served> {
  let isRenewed = false
  const server: Server = createServer((request, response) => {
    void (async () => {
      const path = request.url ?? '/'
      if (isRenewed && gone.test(path)) return response.writeHead(404).end()
      // What is sent is read as text or bytes here, so it comes unpacked.
      const answer = await fetch(from + path, { headers: { 'accept-encoding': 'identity' } })
      const bytes = Buffer.from(await answer.arrayBuffer())
      const headers = Object.fromEntries(
        [...answer.headers].filter(([name]) => !/^(content-encoding|content-length|transfer-encoding)$/.test(name)),
      )
      const isList = path.startsWith('/sw.js')
      return response
        .writeHead(answer.status, headers)
        .end(isList && isRenewed ? Buffer.concat([bytes, Buffer.from('\n// a newer build\n')]) : bytes)
    })()
  })
  await new Promise<void>((resolve) => server.listen(0, '127.0.0.1', resolve))
  return {
    address: `http://127.0.0.1:${(server.address() as AddressInfo).port}`,
    renew: () => {
      isRenewed = true
    },
    close: () =>
      new Promise((resolve) => {
        server.closeAllConnections()
        server.close(() => resolve())
      }),
  }
}
