import { AWAY_MM, FRONT_DOWN_DEG, windowOf, type Viewpoint, type Room, type Window } from '#core/draw'

const MARGIN_MM = 12

export type WholeCake = { readonly look: Viewpoint; readonly window: Window; readonly room: Room }

/** How a still picture shows all within a room. @param side from where, the front where nothing is said */
export function wholeCake(room: Room, side: Partial<Viewpoint> = {}): WholeCake {
  const look = { turnDeg: 0, downDeg: FRONT_DOWN_DEG, aimMm: room.upMm / 2, awayMm: AWAY_MM, ...side }
  return { look, window: windowOf(look, room, MARGIN_MM), room }
}

/** The least room that holds several: pictures beside each other stand at one scale. */
export const roomForAll = (rooms: readonly Room[]): Room => ({
  outMm: Math.max(...rooms.map(({ outMm }) => outMm)),
  upMm: Math.max(...rooms.map(({ upMm }) => upMm)),
  belowMm: Math.max(...rooms.map(({ belowMm }) => belowMm)),
})
