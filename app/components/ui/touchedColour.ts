/** Half the side of the square that is averaged, in the picture's pixels. */
const AROUND = 5
/** What a screen's light is to its numbers, nearly. */
const GAMMA = 2.2

/**
 * The mean colour round where a picture was touched, in linear light: paper is never even. @param event a click on
 * what holds the picture
 */
export function touchedColour(event: MouseEvent): string {
  const image = (event.currentTarget as HTMLElement).querySelector('img')!
  const place = image.getBoundingClientRect()
  const [x, y] = [
    ((event.clientX - place.left) / place.width) * image.naturalWidth,
    ((event.clientY - place.top) / place.height) * image.naturalHeight,
  ]
  const canvas = document.createElement('canvas')
  const side = 2 * AROUND + 1
  Object.assign(canvas, { width: side, height: side })
  const context = canvas.getContext('2d')!
  context.drawImage(image, x - AROUND, y - AROUND, side, side, 0, 0, side, side)
  const { data } = context.getImageData(0, 0, side, side)
  const mean = [0, 1, 2].map((band) => {
    let sum = 0
    for (let pixel = 0; pixel < data.length; pixel += 4) sum += (data[pixel + band]! / 255) ** GAMMA
    return Math.round(255 * (sum / (data.length / 4)) ** (1 / GAMMA))
  })
  return `#${mean.map((each) => each.toString(16).padStart(2, '0')).join('')}`
}
