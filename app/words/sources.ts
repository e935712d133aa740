import { capital } from '../../core/words/numbers.ts'

/** A source of the handbook with its short marks written out: hobby practice, editorial assumption. */
export const sourceWords = (source: string): string =>
  capital(
    source
      .replace(/^(\w+)\.md/, 'handbook, $1')
      .replace(/\bHP\b/g, 'hobby practice')
      .replace(/\bEA\b/g, 'editorial assumption'),
  )
