import { affectedName, affectedWords, beyondHelp, conditionsOf, takesFood } from '../../watching/affected.ts'
import { capital, listed } from '../../words/numbers.ts'
import { provideWard } from '../ward-when-loaded.ts'
import { doseSentences } from './dose-warnings.ts'
import type { CourseWarning, WarningInput } from './warnings.ts'

/** What is told of a fish that cannot be helped any more: quarantine.md 2.3, rule-euthanasia (AVMA 2020). No dose is given here. */
const PAINLESS_END =
  'few recover, and a painless end is fair. A veterinarian gives it: an overdose of buffered tricaine or eugenol, ten minutes past the last movement of the gills, then a second step that makes sure. How much is theirs to say. Never freezing, flushing or boiling.'

/** How many of how many lie, do not eat, have sores; and for whom a painless end is fair. */
export function wardSentences({ journal, facts: { course, now } }: WarningInput): CourseWarning[] {
  const { kind } = course.definition
  if (kind !== 'school' && kind !== 'add-on') return []
  const conditions = conditionsOf(journal, course.animalIds, now)
  const words = affectedWords(conditions)
  const beyond = beyondHelp(conditions)
  return [
    ...(beyond.length === 0
      ? []
      : [
          {
            id: 'humane-end',
            tone: 'act' as const,
            text: `${listed(beyond.map(affectedName))} ${beyond.some(({ areScalesRaised }) => areScalesRaised) ? 'shows no gain' : 'lies, does not eat and has a sore'}: ${PAINLESS_END}`,
          },
        ]),
    ...(words === '' ? [] : [{ id: 'ward', tone: 'soon' as const, text: `${capital(words)}.` }]),
  ]
}

provideWard({ conditionsOf, takesFood, wardSentences, doseSentences })
