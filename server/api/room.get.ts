import { createEventStream, defineEventHandler, setResponseStatus } from 'h3'
import { ownDevices } from '../asked/browser'
import { sensorMessage } from '../simulate/room'

const EVERY_MS = 2000

/** The room sensor's readings as they come, as server-sent events. */
export default defineEventHandler((event) => {
  const devices = ownDevices(event)
  if (devices.standIns.sensor === 'off') {
    setResponseStatus(event, 204)
    return null
  }
  const stream = createEventStream(event)
  const send = async (): Promise<void> => {
    const { sensor } = devices.standIns
    if (sensor === 'dropped' || sensor === 'off') return stream.close()
    const message = sensorMessage(Date.now(), sensor)
    if (message !== null) await stream.push(message)
  }
  const timer = setInterval(() => void send(), EVERY_MS)
  stream.onClosed(async () => {
    clearInterval(timer)
    await stream.close()
  })
  void send()
  return stream.send()
})
