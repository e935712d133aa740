import { hasDecimalComma } from '../../core/numbers/locale.ts'

/** The browser's locale: how its keeper writes numbers. */
export const locale = (): string => navigator.language

/** What a figure field holds for what was typed into it: with a decimal point, whatever the locale types. */
export const figureTyped = (text: string): string =>
  hasDecimalComma(locale()) ? text.replace(/(\d),(?=\d|$)/g, '$1.') : text

/** What a figure field shows of what it holds: the decimal mark of the locale. */
export const figureShown = (held: string): string =>
  hasDecimalComma(locale()) ? held.replace(/(\d)\.(?=\d|$)/g, '$1,') : held
