import type { ContentOf } from '../../core/journal/entry.ts'
import type { Diary } from '../diary.ts'

type Start = Omit<ContentOf<'case-start'>, 'kind' | 'happened'>
type Mark = Omit<ContentOf<'case-mark'>, 'kind' | 'happened' | 'caseId' | 'tankId'>

/** What showed and was looked into: the strings on the sand, still open; the fish that was lost; the worms that are gone. */
export function cases(diary: Diary): void {
  const open = (day: number, time: string, start: Start) => {
    diary.on(day, time, { kind: 'case-start', ...start })
    const of = { caseId: start.caseId, tankId: start.tankId }
    return {
      mark: (on: number, at: string, rest: Mark) => diary.on(on, at, { kind: 'case-mark', ...of, ...rest }),
      close: (on: number, at: string, rest: Pick<ContentOf<'case-end'>, 'outcome' | 'cause' | 'words'>) =>
        diary.on(on, at, { kind: 'case-end', ...of, ...rest }),
    }
  }
  const signs = (present: readonly string[], absent: readonly string[] = []): Mark => ({
    mark: 'signs',
    signs: [
      ...present.map((sign) => ({ sign, answer: 'present' as const })),
      ...absent.map((sign) => ({ sign, answer: 'absent' as const })),
    ],
  })

  const lost = open(-119, '07:30', {
    caseId: 'flint-velvet',
    tankId: 'hall',
    table: 'marine-fish',
    animalIds: ['flint'],
    title: 'Flint, dusted',
  })
  lost.mark(
    -119,
    '07:31',
    signs(['breathing-fast', 'into-flow', 'fine-dust-sheen', 'not-eating'], ['white-grains-countable']),
  )
  lost.mark(-119, '07:40', { mark: 'thought-of', cause: 'marine-velvet' })
  lost.close(-116, '06:45', {
    outcome: 'lost',
    cause: 'marine-velvet',
    words: 'a day earlier would have mattered; the others went into copper, the reef stood empty for 76 days',
  })

  const worms = open(-98, '22:15', {
    caseId: 'arrow-heads',
    tankId: 'study',
    table: 'coral-and-pests',
    animalIds: [],
    title: 'Arrow heads on the glass',
  })
  worms.mark(
    -98,
    '22:16',
    signs(['c-flat-gliding', 'c-arrow-head', 'ctx-overfeeding'], ['c-segments-bristles', 'c-thin-white-worms']),
  )
  worms.mark(-97, '09:50', { mark: 'confirmed', cause: 'planaria', words: 'two eyes by the loupe' })
  worms.close(-68, '18:15', { outcome: 'healed', cause: 'planaria', words: 'jar and traps empty at day 14 and 28' })

  const strings = open(-8, '13:20', {
    caseId: 'brown-strings',
    tankId: 'hall',
    table: 'marine-film',
    animalIds: [],
    title: 'Brown strings on the sand',
  })
  strings.mark(
    -8,
    '13:22',
    signs(['a-brown-golden', 'a-strings-bubbles', 'a-mainly-sand', 'a-thins-at-night'], ['a-sheet-peels']),
  )
  strings.mark(-8, '13:25', { mark: 'thought-of', cause: 'dino-ostreopsis' })
  strings.mark(-8, '15:31', signs(['a-m-notch-slow'], ['a-m-tether-spin', 'a-m-oval-beak']))
  strings.mark(-8, '20:10', { mark: 'night-test' })
  strings.mark(-8, '22:15', { mark: 'night-test', night: 'between' })
  strings.mark(-8, '15:32', { mark: 'ruled-out', cause: 'dino-ostreopsis', words: 'nothing spins round a point' })
  strings.mark(-8, '15:33', {
    mark: 'confirmed',
    cause: 'dino-prorocentrum',
    words: 'notch at one end, no groove, slow',
  })
}
