import { defineEventHandler, setResponseHeader } from 'h3'
import { refused } from '../asked/refused'

/** What there is, and how it is asked for. */
const METHODS: ReadonlyMap<string, readonly string[]> = new Map([
  ['/api/cutter', ['GET', 'POST', 'PUT']],
  ['/api/forecast', ['GET']],
  ['/api/room', ['GET']],
  ['/api/stand-ins', ['GET', 'PUT']],
])

/** What no other answers. */
export default defineEventHandler((event) => {
  const methods = METHODS.get(event.path.split('?')[0]!)
  if (!methods) throw refused(404, 'There is nothing at this address.')
  setResponseHeader(event, 'allow', methods.join(', '))
  throw refused(405, `It is asked for by ${methods.join(' or ')}.`)
})
