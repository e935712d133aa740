/** Whether numbers are written with a decimal comma in a locale (`de`, `pt-PT`); false for none and for one that is unknown. */
export function hasDecimalComma(locale: string | undefined): boolean {
  if (locale === undefined) return false
  try {
    return new Intl.NumberFormat(locale)
      .formatToParts(1.5)
      .some(({ type, value }) => type === 'decimal' && value === ',')
  } catch {
    // Not a locale's name: a comma is then asked about.
    return false
  }
}
