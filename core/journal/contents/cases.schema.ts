import Type from 'typebox'
import { instant, oneOf, positive, strict } from '../../schema/types.ts'
import { content, count, id, name, opt, taskId, words } from './parts.schema.ts'

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
      'night-test',
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
    lookAt: opt(instant('when the experiment, or the jar of a night test, is looked at')),
    night: opt(
      oneOf(
        ['water', 'sand', 'between', 'given-up'] as const,
        'of “night-test”: where the cells of the dark jar are after two hours; left out where it is begun',
      ),
    ),
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

const cells = (description: string) => Type.Integer({ minimum: 0, maximum: 100_000, description })

export const Tally = content(
  'tally',
  {
    tankId: id(),
    caseId: opt(id()),
    courseId: opt(id()),
    taskId: opt(taskId()),
    objective: Type.Union([Type.Literal(4), Type.Literal(10), Type.Literal(40)], {
      description: 'the power it was counted at, with a ×10 eyepiece',
    }),
    spots: Type.Array(
      strict({
        diatoms: cells('diatoms'),
        dinos: cells('dinoflagellates'),
        other: cells('other cells'),
        fields: count('fields of view that were counted'),
      }),
      { minItems: 1, maxItems: 20, description: 'one for each place the sample was taken from' },
    ),
    lengthsUm: opt(
      Type.Array(positive('µm'), { minItems: 1, maxItems: 200, description: 'lengths of single dinoflagellates' }),
    ),
  },
  'cells counted under the microscope, kind by kind in the same fields',
)

export const Clip = content(
  'clip',
  {
    clipId: id('names the clip in its own store on the device that took it'),
    tankId: opt(id()),
    about: opt(id('the entry it belongs to')),
    caption: opt(words()),
    mime: Type.String({ pattern: '^video/[a-z0-9.+-]{1,40}$' }),
    bytes: Type.Integer({ minimum: 1 }),
  },
  'a short film; it stays on the device that took it',
)
