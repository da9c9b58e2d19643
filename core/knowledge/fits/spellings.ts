/** How measures of parts are written, beside their units: what a number, a plate or a note on a shelf says. */

/** Fractions that have a sign of their own. */
export const FRACTION_SIGNS: Readonly<Record<string, string>> = {
  '¼': '1/4',
  '½': '1/2',
  '¾': '3/4',
  '⅛': '1/8',
  '⅜': '3/8',
  '⅝': '5/8',
  '⅞': '7/8',
}
/** Bearings: what stands behind the number, and what it says; makers write the same in several ways. */
export const BEARING_SUFFIXES: readonly { written: RegExp; field: 'closure' | 'clearance'; says: string }[] = [
  { written: /\b(?:\d{3,4})?[-\s]?(?:2?-?2?RS[A-Z0-9]?|DDU|LLU|sealed|rubber)\b/i, field: 'closure', says: 'seals' },
  { written: /\b(?:\d{3,4})?[-\s]?(?:ZZ|2Z|Z|shielded?|shields)\b/i, field: 'closure', says: 'shields' },
  { written: /\bopen\b/i, field: 'closure', says: 'open' },
  { written: /C3\b/i, field: 'clearance', says: 'c3' },
  { written: /\b(?:CN|C0|normal)\b/i, field: 'clearance', says: 'normal' },
]
/** Words that name a family where no number does. */
export const FAMILY_WORDS: readonly { written: RegExp; family: string }[] = [
  { written: /\bstart(?:ing)?\s+cap/i, family: 'start-capacitor' },
  { written: /\b(?:run\s+)?cap(?:acitor)?\b|\bcan\b/i, family: 'run-capacitor' },
  { written: /\b(?:brg|bearing)s?\b/i, family: 'bearing' },
  { written: /\bo-?\s?ring\b|\bas\s?568\b|\bdash\b/i, family: 'o-ring' },
  { written: /\bseal\b|\bshaft\b.*\b(?:seat|head)\b|\bseat\b.*\b(?:shaft|head)\b/i, family: 'shaft-seal' },
  { written: /\bimp(?:eller)?\b/i, family: 'impeller' },
  { written: /\bcontrol\s+box\b|\bbox\b/i, family: 'control-box' },
  { written: /\bfloat\b/i, family: 'float-switch' },
  { written: /\bgauge\b/i, family: 'gauge' },
  { written: /\brelief\b/i, family: 'relief-valve' },
  { written: /\b(?:check|foot)\s+valve\b|\bunion\b/i, family: 'valve' },
  { written: /\b(?:pressure\s+)?switch\b/i, family: 'pressure-switch' },
  { written: /\btank\b/i, family: 'tank' },
  { written: /\bsplice\b|\bheat\s?-?shrink\b/i, family: 'splice' },
  { written: /\bcable\b|\bwire\b|\blead\b/i, family: 'cable' },
  { written: /\badapter\b|\bbushing\b|\bnipple\b|\bfitting\b|\breducer\b|\bcoupling\b/i, family: 'fitting' },
  { written: /\bmotor\b/i, family: 'motor' },
  { written: /\bpump\b/i, family: 'pump' },
]
/** Ends of pipe, as they are written on a bag. */
export const END_WORDS: readonly { written: RegExp; kind: string }[] = [
  { written: /\b(?:mnpt|mpt|mip|male)\b/i, kind: 'male-thread' },
  { written: /\b(?:fnpt|fpt|fip|female)\b/i, kind: 'female-thread' },
  { written: /\b(?:spigot|plain)\b/i, kind: 'spigot' },
  { written: /\b(?:socket|slip|soc)\b/i, kind: 'socket' },
  { written: /\b(?:barb|insert)\b/i, kind: 'barb' },
  { written: /\b(?:hose|soft)\b/i, kind: 'hose' },
]
