/**
 * Driving of one round from the shop through all of these places and home, minutes: each next place is put where it
 * costs least.
 *
 * @param minutes each place to each
 * @param shop and places: rows of the table
 * @source cheapest insertion, at most twice the shortest round: Rosenkrantz, Stearns and Lewis, An analysis of several
 *   heuristics for the traveling salesman problem (1977)
 */
export function roundMinutes(minutes: readonly (readonly number[])[], shop: number, places: readonly number[]): number {
  const drive = (from: number, to: number) => minutes[from]?.[to] ?? 0
  const left = new Set(places.filter((place) => place !== shop))
  let round = [shop, shop]
  while (left.size > 0) {
    let best: { place: number; at: number; cost: number } | undefined
    for (const place of left)
      for (let at = 1; at < round.length; at++) {
        const [from, to] = [round[at - 1] as number, round[at] as number]
        const cost = drive(from, place) + drive(place, to) - drive(from, to)
        if (!best || cost < best.cost) best = { place, at, cost }
      }
    if (!best) break
    round = round.toSpliced(best.at, 0, best.place)
    left.delete(best.place)
  }
  return round.slice(1).reduce((sum, place, index) => sum + drive(round[index] as number, place), 0)
}
