/**
 * How a check and its outcomes are said.
 *
 * A phrase is plain words, lower case, without articles and without the hyphen (`o ring`). Its first letter may be a
 * mark: `+` means that the phrase is too ordinary to count without the name of the thing (`full`), `!` that it says the
 * check itself and needs no name (`spins free`). Without a mark it needs a name, and without one it is asked.
 */
export interface CheckSaid {
  /** What people call the check; the first is what the program itself writes. */
  names: readonly string[]
  /** Things whose mention lets an outcome mean this check, without naming it: `shaft` for turning it. */
  things?: readonly string[]
  outcomes?: Readonly<Record<string, readonly string[]>>
  /** What an outcome denied means, where there is one opposite. Two outcomes are each other's without saying so. */
  denied?: Readonly<Record<string, string>>
  /** Words that name the check and the sort of answer but not the answer: they are asked. */
  vague?: readonly string[]
}

/** Every word an eye finds for a thing that is as it should be. Too ordinary to count without the thing's name. */
export const GOOD = [
  '+sound',
  '+good',
  '+ok',
  '+okay',
  '+fine',
  '+looks good',
  '+looks fine',
  '+looks ok',
  '+looks new',
  '+like new',
  '+in good shape',
  '+in good order',
  '+all right',
  '+alright',
  '+perfect',
  '+intact',
  '+undamaged',
  '+healthy',
  '+in good nick',
  '+spotless',
  '+immaculate',
  '+no damage',
  '+no wear',
  '+no cracks',
  '+no crack',
]
export const WORN = [
  '+worn',
  '+worn out',
  '+worn thin',
  '+worn smooth',
  '+tired',
  '+flat',
  '+flattened',
  '+hard',
  '+hardened',
  '+scored',
  '+chewed',
  '+chewed up',
  '+eaten',
  '+eroded',
  '+brittle',
  '+stretched',
  '+swollen',
  '+had its day',
  '+past it',
  '+shot',
  '+rounded',
  '+nicked',
]
export const CRACKED = [
  '+cracked',
  '+crack',
  '+split',
  '+hairline',
  '+hairline crack',
  '+cracked right through',
  '+has crack',
  '+fractured',
  '+crazed',
]
export const BROKEN = [
  '+broken',
  '+broke',
  '+snapped',
  '+smashed',
  '+shattered',
  '+in pieces',
  '+in two',
  '+in bits',
  '+torn',
  '+falling apart',
  '+fallen apart',
  '+falls apart',
  '+came apart',
  '+broken in two',
  '+broken off',
  '+broken up',
  '+sheared',
  '+sheared off',
  '+destroyed',
  '+busted',
  '+rotted',
  '+rotten',
  '+perished',
]
export const MISSING = [
  '+missing',
  '+not there',
  '+absent',
  '+gone',
  '+nowhere',
  '+left out',
  '+none fitted',
  '+not fitted',
  '+never fitted',
  '+not present',
  '+lost',
]
export const CORRODED = [
  '+corroded',
  '+rusty',
  '+rusted',
  '+rusted out',
  '+rusted through',
  '+rust',
  '+green',
  '+furred',
  '+scaled',
  '+eaten by rust',
  '+corrosion',
]
export const BURNT = [
  '+burnt',
  '+burned',
  '+burnt out',
  '+burned out',
  '+burnt up',
  '+black',
  '+burnt black',
  '+burned black',
  '+gone black',
  '+charred',
  '+scorched',
  '+melted',
  '+cooked',
  '+burn marks',
  '+fried',
  '+singed',
]
export const CLOGGED = [
  '+clogged',
  '+clogged up',
  '+plugged',
  '+plugged up',
  '+plugged solid',
  '+blocked',
  '+blocked up',
  '+choked',
  '+jammed',
  '+stuffed',
  '+packed',
  '+packed solid',
  '+packed tight',
  '+full',
  '+full of leaves',
  '+full of hair',
  '+full of rust',
  '+full of gravel',
  '+full of sand',
  '+full of debris',
  '+full of needles',
  '+matted',
  '+fouled',
  '+bunged up',
  '+wrapped with hair',
  '+stopped up',
]
