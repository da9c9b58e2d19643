/** How a shop writes its numbers on paper: by the mark of the fraction and that of the thousands. */
export const NUMBER_STYLES = {
  point: { locale: 'en-US', fraction: '.', example: '1,234.50' },
  comma: { locale: 'de-DE', fraction: ',', example: '1.234,50' },
  'space-comma': { locale: 'fr-FR', fraction: ',', example: '1\u202f234,50' },
  'quote-point': { locale: 'de-CH', fraction: '.', example: '1\u2019234.50' },
} as const
export type NumberStyle = keyof typeof NUMBER_STYLES

/** An amount in a currency, to the cent, as the shop writes it. */
export function formatMoney(amount: number, currency: string, style: NumberStyle = 'point'): string {
  return new Intl.NumberFormat(NUMBER_STYLES[style].locale, { style: 'currency', currency }).format(amount)
}

/** The same where cents say nothing: what a year costs, about. */
export function formatAboutMoney(amount: number, currency: string, style: NumberStyle = 'point'): string {
  const { locale } = NUMBER_STYLES[style]
  return new Intl.NumberFormat(locale, { style: 'currency', currency, maximumFractionDigits: 0 }).format(amount)
}

/**
 * Figures that were put into words with a point, as the shop writes them: “4.06 A” as “4,06 A”. For what is composed of
 * readings and amounts only: what a person typed is left as it was typed.
 */
export function inNumberStyle(words: string, style: NumberStyle = 'point'): string {
  const { fraction } = NUMBER_STYLES[style]
  return fraction === '.' ? words : words.replace(/(?<=\d)\.(?=\d)/g, fraction)
}
