import { capital } from './numbers.ts'

/** Circulars the handbook cites by number alone, quarantine.md 12: what each is about. */
const CIRCULARS: Readonly<Record<string, string>> = {
  FA16: 'ammonia',
  FA28: 'monogenean flukes',
  FA91: 'nematode worms',
  FA164: 'Cryptocaryon, by Yanong',
  FA165: 'copper in marine systems, by Yanong',
  FA181: 'lymphocystis',
  FA184: 'fish lice',
  FA185: 'anchor worm',
  CIR920: 'white spot',
  VM67: 'Hexamita',
  VM77: 'formalin',
  VM86: 'salt',
  VM96: 'mycobacteria',
  VM97: 'fungal disease',
}

/** Short marks of a text of the handbook written out: hobby practice, editorial assumption, the circulars by their subject. */
export const withoutMarks = (text: string): string =>
  text
    .replace(/\b(FA|VM|CIR)(\d+)\b/g, (mark: string) => {
      const about = CIRCULARS[mark]
      return about ? `university extension circular ${mark} (${about})` : mark
    })
    .replace(/\bSRAC (\d+)\b/g, 'aquaculture centre publication $1')
    .replace(/\bHP\b/g, 'hobby practice')
    .replace(/\bEA\b/g, 'editorial assumption')
    .replace(/[,;]?\s*\(?\bverify\b\)?/g, ' (cited from memory, to be checked)')

/** A source of the handbook as it is read, its short marks written out. */
export const sourceWords = (source: string): string =>
  capital(
    withoutMarks(
      source
        .replace(/^(?=[\w-]+\.md)/, 'handbook, ')
        .replace(/([\w-]+)\.md/g, (_, file: string) => file.replaceAll('-', ' ')),
    ),
  )
