import type { Content, ContentOf } from '../../core/journal/entry.ts'
import { percentText, plural } from '../../core/words/numbers.ts'
import { plain, strong, type Mark } from './marks.ts'

type CaseContent = Extract<Content, { kind: 'case-start' | 'case-mark' | 'case-end' | 'tally' }>

const TABLES: Record<ContentOf<'case-start'>['table'], string> = {
  'marine-fish': 'an ill fish',
  'freshwater-fish': 'an ill fish',
  'marine-film': 'a film or alga',
  'freshwater-algae': 'a film or alga',
  'coral-and-pests': 'a pest or an ailing coral',
}

/** The condition of an id in plain words: the names of the catalogue come with the Diagnose screen only. */
const causeWords = (id: string | undefined): string => (id ?? 'a cause').replaceAll('-', ' ')

/** What a case is called where the keeper gave it no name. */
export const caseName = ({ title, table }: Pick<ContentOf<'case-start'>, 'title' | 'table'>): string =>
  title ?? TABLES[table]

const NIGHT_WORDS: Record<NonNullable<ContentOf<'case-mark'>['night']>, string> = {
  water: 'brown through the water',
  sand: 'clear over a brown bottom',
  between: 'brown in both',
  'given-up': 'given up',
}

function markWords({ mark, signs = [], cause, words, night }: ContentOf<'case-mark'>): Mark[] {
  const because = plain(words === undefined ? '' : `: ${words}`)
  switch (mark) {
    case 'signs': {
      const present = signs.filter(({ answer }) => answer === 'present').length
      const absent = signs.filter(({ answer }) => answer === 'absent').length
      const said = [
        ...(present > 0 ? [`${plural(present, 'sign')} present`] : []),
        ...(absent > 0 ? [`${absent} absent`] : []),
      ]
      return [plain(`case, ${said.join(', ') || 'a sign taken back'}`)]
    }
    case 'thought-of':
      return [plain('case, perhaps '), strong(causeWords(cause)), because]
    case 'ruled-out':
      return [plain(`case, ruled out ${causeWords(cause)}`), because]
    case 'confirmed':
      return [plain('case, confirmed '), strong(causeWords(cause)), because]
    case 'experiment':
      return [plain('one thing changed'), because]
    case 'experiment-result':
      return [plain('looked at what was changed'), because]
    case 'reopened':
      return [plain('case '), strong('open again'), because]
    case 'night-test':
      return [plain('dark jar: '), strong(night === undefined ? 'put away' : NIGHT_WORDS[night])]
  }
}

/** The entries of a case as short marks. */
export function caseMarks(content: CaseContent): Mark[] {
  switch (content.kind) {
    case 'case-start':
      return [plain('case: '), strong(caseName(content))]
    case 'case-mark':
      return markWords(content)
    case 'case-end':
      return [
        plain('case closed, '),
        strong(content.outcome),
        plain(content.cause === undefined ? '' : `: ${causeWords(content.cause)}`),
      ]
    case 'tally': {
      const sum = (of: 'diatoms' | 'dinos') => content.spots.reduce((total, spot) => total + spot[of], 0)
      const [diatoms, dinos] = [sum('diatoms'), sum('dinos')]
      return [
        plain('tally, diatoms '),
        strong(diatoms + dinos === 0 ? 'none counted' : percentText(diatoms / (diatoms + dinos))),
        plain(diatoms + dinos === 0 ? '' : ` of ${diatoms + dinos} cells`),
      ]
    }
  }
}
