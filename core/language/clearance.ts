import type { Finding } from '../diagnosis/finding'
import type { Clearance } from './guests'
import { endIn } from './outcome-details'
import type { Piece } from './phrases'
import type { Heard } from './understanding'

/** A clearance belongs to the bearing’s fit; said alone, it says that the bearing is loose. */
export function withClearance(heard: Heard, pieces: readonly Piece[], clearance: Clearance | undefined): Heard {
  if (!clearance) return heard
  const fits = heard.said.filter(({ finding }) => finding?.check === 'bearing-fit')
  // Of two ends the clearance is that of the loose one.
  const fit = fits.find(({ finding }) => finding?.outcome === 'loose') ?? fits[0]
  const clearanceMillimetres = clearance.millimetres
  if (fit)
    return {
      ...heard,
      said: heard.said.map((item) =>
        item === fit
          ? {
              finding: { ...(fit.finding as Finding), clearanceMillimetres },
              pieces: [...fit.pieces, ...clearance.pieces],
            }
          : item,
      ),
    }
  const name = pieces.find((piece) =>
    piece.senses.some((sense) => sense.is === 'check' && sense.check === 'bearing-fit'),
  )
  const end = endIn(pieces, clearance.pieces[0]?.clause ?? 0)
  const finding: Finding = {
    check: 'bearing-fit',
    outcome: clearanceMillimetres > 0 ? 'loose' : 'tight',
    clearanceMillimetres,
    ...(end ? { at: end.at } : {}),
  }
  return { ...heard, said: [...heard.said, { finding, pieces: [...(name ? [name] : []), ...clearance.pieces] }] }
}
