import type { TaxLine } from '#core/knowledge/shop/rates'
import type { SeasonJob } from '#core/knowledge/shop/seasons'
import type { NumberStyle } from '#core/quantity/number-style'
import { hoursOf, vansOf } from '#core/planning/day-plan'
import { USUAL_SEASONS } from '#core/planning/season'
import { enteredShop, type Shop } from '#core/visit/shop'
import { readNumber } from '#core/quantity/read-number'

/** The shop’s settings as they stand in a form: every figure a text. */
export interface SettingsForm {
  name: string
  place: string
  mail: string
  numbers: NumberStyle
  currency: string
  units: Shop['units']
  hourly: string
  trip: string
  chargesJourney: boolean
  minimum: string
  afterHours: string
  helperHourly: string
  partsMarkup: string
  downtime: string
  workWarrantyMonths: string
  partWarrantyMonths: string
  energyPrice: string
  taxes: { name: string; percent: string; on: TaxLine['on'] }[]
  vans: { id: string; name: string; people: number; litres: string }[]
  /** Hours of the day as HH:MM; the break in minutes. */
  day: { start: string; end: string; breakFrom: string; breakMinutes: string }
  /** Each as MM-DD. */
  seasons: Record<SeasonJob, string>
}
const FIGURES = ['hourly', 'trip', 'minimum', 'afterHours', 'helperHourly', 'partsMarkup', 'downtime'] as const
/** What is not said at all where it is left empty. */
const SAID_OR_NOT = ['workWarrantyMonths', 'partWarrantyMonths', 'energyPrice'] as const
/** What no longer stands once it is emptied. */
const EMPTIED: ReadonlySet<string> = new Set(['minimum', 'taxes', ...SAID_OR_NOT])
/** What a new shop does not charge before it says so. */
const NOTHING_CHARGED = { trip: 0, partsMarkup: 0, helperHourly: 0 }
const text = (value: number | undefined) => (value === undefined ? '' : String(value))

/** Minutes from midnight as a time field has them, and back. */
const hourText = (minutes: number) =>
  `${String(Math.floor(minutes / 60)).padStart(2, '0')}:${String(minutes % 60).padStart(2, '0')}`
function minutesOf(hour: string): number | undefined {
  const match = /^(\d{1,2}):(\d{2})$/.exec(hour)
  return match ? Number(match[1]) * 60 + Number(match[2]) : undefined
}

/** The shop as a form. One that nobody has entered starts empty: no figure is put into its mouth. */
export function settingsForm(shop: Shop): SettingsForm {
  const { name, place, mail = '', numbers = 'point', units, rates, unset } = shop
  const day = hoursOf(shop)
  const figure = (value: number | undefined) => (unset ? '' : text(value))
  return {
    name,
    place,
    mail,
    numbers,
    units,
    currency: unset ? '' : rates.currency,
    hourly: figure(rates.hourly),
    trip: figure(rates.trip),
    chargesJourney: rates.chargesJourney ?? false,
    minimum: figure(rates.minimum),
    afterHours: figure(rates.afterHours),
    helperHourly: figure(rates.helperHourly),
    partsMarkup: unset ? '' : text(Math.round(rates.partsMarkup * 10_000) / 100),
    downtime: figure(rates.downtime),
    workWarrantyMonths: figure(rates.workWarrantyMonths),
    partWarrantyMonths: figure(rates.partWarrantyMonths),
    energyPrice: figure(rates.energyPrice),
    vans: vansOf(shop).map(({ litres, ...van }) => ({ ...van, litres: text(litres) })),
    day: {
      start: hourText(day.start),
      end: hourText(day.end),
      breakFrom: hourText(day.breakFrom),
      breakMinutes: String(day.breakMinutes),
    },
    seasons: { ...(shop.seasons ?? USUAL_SEASONS) },
    taxes: (rates.taxes ?? []).map(({ name: tax, percent, on }) => ({ name: tax, percent: String(percent), on })),
  }
}

/**
 * The shop that a form says. What was left empty stands as it was, and of a shop that has said nothing yet is not
 * charged; a figure that is none is a problem by its field.
 *
 * @returns the shop, or what is wrong in words, by field
 */
export function readSettings(
  form: SettingsForm,
  shop: Shop,
): { shop: ReturnType<typeof enteredShop> } | { problems: Record<string, string> } {
  const problems: Record<string, string> = {}
  const number = (field: string, written: string): number | undefined => {
    if (written.trim() === '') return undefined
    const value = readNumber(written)
    if (value === undefined || value < 0) problems[field] = 'a number, such as 92 or 12.50'
    return value
  }
  const figures = Object.fromEntries(FIGURES.map((field) => [field, number(field, form[field])]))
  const said = Object.fromEntries(
    SAID_OR_NOT.flatMap((field) => {
      const value = number(field, form[field])
      return value === undefined ? [] : [[field, value]]
    }),
  )
  const taxes = form.taxes
    .filter(({ name, percent }) => name.trim() || percent.trim())
    .map(({ name, percent, on }, index) => ({ name: name.trim(), percent: number(`taxes.${index}`, percent) ?? 0, on }))
  if (taxes.some(({ name }) => !name)) problems['taxes.0'] = 'each tax has a name'
  if (!form.name.trim()) problems.name = 'the name that stands on every sheet'
  if (!/^[A-Z]{3}$/.test(form.currency.trim().toUpperCase())) problems.currency = 'three letters, such as USD'
  if (form.chargesJourney && form.trip.trim() === '') problems.trip = 'what a journey costs, as it is charged'
  if (form.hourly.trim() === '') problems.hourly = 'what an hour costs: every price hangs on it'
  const hour = (field: keyof SettingsForm['day']): number => {
    const value = field === 'breakMinutes' ? readNumber(form.day[field]) : minutesOf(form.day[field])
    if (value === undefined || value < 0)
      problems[`day.${field}`] = field === 'breakMinutes' ? 'whole minutes, such as 30' : 'an hour, such as 7:30'
    return value ?? 0
  }
  const day = {
    start: hour('start'),
    end: hour('end'),
    breakFrom: hour('breakFrom'),
    breakMinutes: hour('breakMinutes'),
  }
  const vans = form.vans.map(({ id, name, people, litres }, index) => {
    const room = number(`vans.${index}.litres`, litres)
    return { id, name: name.trim(), people, ...(room === undefined ? {} : { litres: room }) }
  })
  if (vans.length === 0 || vans.some(({ name }) => !name)) problems.vans = 'one van at least, each with a name'
  if (Object.keys(problems).length > 0) return { problems }
  const { mail: _, numbers: __, ...known } = enteredShop(shop)
  const { partsMarkup, ...others } = figures
  const entered = Object.fromEntries(Object.entries(others).filter(([, value]) => value !== undefined))
  const standing = Object.entries(known.rates).filter(([field]) => !EMPTIED.has(field))
  const rates = { ...(Object.fromEntries(standing) as typeof known.rates), ...(shop.unset ? NOTHING_CHARGED : {}) }
  return {
    shop: {
      ...known,
      name: form.name.trim(),
      place: form.place.trim(),
      ...(form.mail.trim() ? { mail: form.mail.trim() } : {}),
      ...(form.numbers === 'point' ? {} : { numbers: form.numbers }),
      units: form.units,
      rates: {
        ...rates,
        ...entered,
        currency: form.currency.trim().toUpperCase(),
        ...(partsMarkup === undefined ? {} : { partsMarkup: partsMarkup / 100 }),
        chargesJourney: form.chargesJourney,
        ...(taxes.length > 0 ? { taxes } : {}),
        ...said,
      },
      ...unlessSame('vans', vans, [...vansOf(shop)]),
      ...unlessSame('day', day, hoursOf(shop)),
      ...unlessSame('seasons', { ...form.seasons }, { ...(shop.seasons ?? USUAL_SEASONS) }),
    },
  }
}

/** What is as it was is not said anew: a shop that has said nothing of it goes on with what is usual. */
function unlessSame<K extends string, T>(field: K, now: T, before: T): Partial<Record<K, T>> {
  return JSON.stringify(now) === JSON.stringify(before) ? {} : ({ [field]: now } as Partial<Record<K, T>>)
}
