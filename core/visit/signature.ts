import type { Strokes } from './entry'

/** Drawn strokes as the path of a vector drawing, in its own field; a dot is a stroke of no length. */
export function signaturePath({ strokes }: Pick<Strokes, 'strokes'>): string {
  return strokes
    .map((stroke) => {
      const points = Array.from(
        { length: stroke.length / 2 },
        (_, index) => `${stroke[2 * index]} ${stroke[2 * index + 1]}`,
      )
      return `M${points[0]}L${(points.length > 1 ? points.slice(1) : points).join(' ')}`
    })
    .join('')
}
