import type { CaseTable } from '../../../core/catalogue/diagnosis/diagnosis.types.ts'
import type { CaseSubject } from '../../../core/diagnosis/context.ts'
import { animalById, animalLabel } from '../../../core/household/animals.ts'
import type { Tank } from '../../../core/household/tanks.ts'
import type { Journal } from '../../../core/journal/journal.ts'
import { listed } from '../../../core/words/numbers.ts'
import type { Subject } from './SignBoard.tsx'

/** Where to look: what a keeper sees, and the table that ranks it. */
export interface WhereToLook {
  id: 'fish' | 'film' | 'pest' | 'coral'
  title: string
  what: string
  table: CaseTable
  subject: Subject
}

/** Tables of what a microscope shows: films, algae, and the slime of a coral. */
export const MICROSCOPE_TABLES: readonly CaseTable[] = ['marine-film', 'freshwater-algae', 'coral-and-pests']

/** What can show in a tank of its water. */
export const whereToLook = ({ water }: Pick<Tank, 'water'>): readonly WhereToLook[] => {
  const isMarine = water === 'marine'
  return [
    {
      id: 'fish',
      title: 'A fish is ill',
      what: 'spots, slime, sores, breathing, thin',
      table: isMarine ? 'marine-fish' : 'freshwater-fish',
      subject: null,
    },
    {
      id: 'film',
      title: isMarine ? 'A film or an alga' : 'An alga or a slime',
      what: isMarine ? 'brown strings, red sheet, green hair, cloudy water' : 'tufts, threads, spots, blue-green sheet',
      table: isMarine ? 'marine-film' : 'freshwater-algae',
      subject: null,
    },
    {
      id: 'pest',
      title: 'An animal nobody bought',
      what: 'anemone, worm, slug, snail, crab, moving dots',
      table: 'coral-and-pests',
      subject: 'pest',
    },
    ...(isMarine
      ? [
          {
            id: 'coral' as const,
            title: 'A coral ails',
            what: 'pale, bare, jelly, shut, eaten',
            table: 'coral-and-pests' as const,
            subject: 'coral' as const,
          },
        ]
      : []),
  ]
}

/** Who or what a case is about, in a few words. */
export function subjectWords(journal: Journal, { animalIds, table }: CaseSubject): string {
  const who = animalIds.flatMap((id) => animalById(journal, id) ?? []).map(animalLabel)
  if (who.length > 0) return listed(who)
  return {
    'marine-fish': 'a fish',
    'freshwater-fish': 'a fish',
    'marine-film': 'a film',
    'freshwater-algae': 'an alga',
    'coral-and-pests': 'a pest or a coral',
  }[table]
}
