import type { ContentOf } from '../../journal/entry.ts'

/** A sign table of the catalogue, by name: what is looked at. */
export type CaseTable = ContentOf<'case-start'>['table']

/** An answer to a sign. */
export type Answer = 'present' | 'absent' | 'not-looked'
