/** A label beside a mark of the map: where it is written from, and by which end. */
export interface PlacedLabel {
  x: number
  y: number
  anchor: 'start' | 'middle' | 'end'
}
/** A name that belongs to no mark: what is written around there. */
export interface AreaName {
  name: string
  /** Where it begins, on its line. */
  x: number
  y: number
}
interface Box {
  left: number
  top: number
  right: number
  bottom: number
}

/** Half of a mark's side, and about how wide a letter is in parts of its height: as written, and in spaced capitals. */
const MARK = 12
const LETTER = 0.54
const CAPITAL = 0.74
/** How far an area's name may step aside, in parts of its height. */
const STEPS = [0, -1.2, 1.2, -2.4, 2.4]

/**
 * Where the names of a map are written, so that none covers a mark or another name. A mark's stands to its right, to
 * its left, above or below, the first that is free; an area's steps up or down out of the way of these. One that finds
 * no room is left out.
 *
 * @param marks in the order of their weight
 */
export function placeLabels(
  marks: readonly { x: number; y: number; text: string }[],
  areas: readonly AreaName[],
  { width, height, size }: { width: number; height: number; size: number },
): { labels: (PlacedLabel | undefined)[]; areas: AreaName[] } {
  const taken: Box[] = marks.map(({ x, y }) => ({ left: x - MARK, top: y - MARK, right: x + MARK, bottom: y + MARK }))
  const isFree = (box: Box) =>
    box.left >= 0 &&
    box.right <= width &&
    box.top >= 0 &&
    box.bottom <= height &&
    !taken.some((other) => overlaps(box, other))
  const labels = marks.map(({ x, y, text }) => {
    const long = text.length * size * LETTER
    const tries: (PlacedLabel & { box: Box })[] = [
      { x: x + MARK + 4, y: y + size / 3, anchor: 'start', box: boxOf(x + MARK + 4, y - size / 2) },
      { x: x - MARK - 4, y: y + size / 3, anchor: 'end', box: boxOf(x - MARK - 4 - long, y - size / 2) },
      { x, y: y - MARK - 4, anchor: 'middle', box: boxOf(x - long / 2, y - MARK - 4 - size) },
      { x, y: y + MARK + size, anchor: 'middle', box: boxOf(x - long / 2, y + MARK + 2) },
    ]
    const free = tries.find(({ box }) => isFree(box))
    if (!free) return undefined
    taken.push(free.box)
    return { x: free.x, y: free.y, anchor: free.anchor }

    function boxOf(left: number, top: number): Box {
      return { left, top, right: left + long, bottom: top + size }
    }
  })
  const written = areas.flatMap(({ name, x, y }) => {
    const long = name.length * size * CAPITAL
    const line = STEPS.map((step) => y + step * size).find((each) => isFree(boxAt(each)))
    if (line === undefined) return []
    taken.push(boxAt(line))
    return [{ name, x, y: line }]

    function boxAt(base: number): Box {
      return { left: x, top: base - size, right: x + long, bottom: base }
    }
  })
  return { labels, areas: written }
}

const overlaps = (a: Box, b: Box): boolean =>
  a.left < b.right && b.left < a.right && a.top < b.bottom && b.top < a.bottom

/** A wave of a river's or a road's line through its points, smooth. */
export function smoothPath(points: readonly { x: number; y: number }[]): string {
  const [first, ...rest] = points
  if (!first) return ''
  let path = `M${first.x} ${first.y}`
  for (const [index, point] of rest.entries()) {
    const before = points[index] as { x: number; y: number }
    const middle = { x: (before.x + point.x) / 2, y: (before.y + point.y) / 2 }
    path += index === 0 ? `L${middle.x} ${middle.y}` : `Q${before.x} ${before.y} ${middle.x} ${middle.y}`
  }
  const last = rest.at(-1) ?? first
  return `${path}L${last.x} ${last.y}`
}
