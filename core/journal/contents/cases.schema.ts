import Type from 'typebox'
import { instant, oneOf, strict } from '../../schema/types.ts'
import { content, id, name, opt, words } from './parts.schema.ts'

/** The five sign tables of the catalogue: what is looked at. */
export const CASE_TABLES = [
  'marine-fish',
  'freshwater-fish',
  'marine-film',
  'freshwater-algae',
  'coral-and-pests',
] as const

export const CaseStart = content(
  'case-start',
  {
    caseId: id(),
    tankId: id('where it shows'),
    table: oneOf(CASE_TABLES, 'the sign table that it is ranked by'),
    animalIds: Type.Array(id(), { maxItems: 200, description: 'fish that show it; none for a film' }),
    partIds: opt(Type.Array(id(), { maxItems: 200, description: 'corals or patches that show it' })),
    title: opt(name('as the keeper calls it: “brown strings on the sand”')),
  },
  'something shows that is not known yet: a diagnosis in progress',
)
export const CaseMark = content(
  'case-mark',
  {
    caseId: id(),
    tankId: id(),
    mark: oneOf([
      'signs',
      'thought-of',
      'ruled-out',
      'confirmed',
      'experiment',
      'experiment-result',
      'reopened',
    ] as const),
    signs: opt(
      Type.Array(
        strict({
          sign: id('of the case’s table'),
          answer: oneOf(['present', 'absent', 'not-looked'] as const),
        }),
        { maxItems: 200, description: 'of “signs”' },
      ),
    ),
    cause: opt(id('condition of the table')),
    words: opt(words('why; of an experiment the one thing that is changed; of its result what was seen')),
    lookAt: opt(instant('when the experiment is looked at')),
  },
  'a case goes on: signs are answered, a cause is thought of or ruled out, one thing is changed and looked at',
)
export const CaseEnd = content(
  'case-end',
  {
    caseId: id(),
    tankId: id(),
    outcome: oneOf(['healed', 'lost', 'harmless', 'unresolved'] as const),
    cause: opt(id('condition of the table that it was')),
    words: opt(words('what was learnt')),
  },
  'a case is closed',
)
