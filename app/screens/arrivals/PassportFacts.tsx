import { exposureWords, passportWords } from '../../../core/courses/passport/passport-words.ts'
import type { Passport } from '../../../core/courses/passport/passport.ts'
import { dayAs } from '../../../core/time/words.ts'
import { capital } from '../../../core/words/numbers.ts'
import { useHousehold } from '../../journal/provider.tsx'
import { Facts, Heading, Stack } from '../../look/text.ts'
import { tankName } from '../../words/entries.ts'

/** Where an animal has been, and what it has behind it: what the door of every tank asks for. */
export function PassportFacts({ passport }: { passport: Passport }) {
  const { journal, settings } = useHousehold()
  const { clock } = settings
  const day = (ms: number) => dayAs(clock.dayOf(ms), 'd MMM yyyy')
  return (
    <Stack $gap={10}>
      <Heading>Passport</Heading>
      <strong>{capital(passportWords(passport, clock))}.</strong>
      <Facts>
        {passport.waters.map(({ tankId, from, to }) => (
          <div key={`${tankId}-${from}`}>
            <dt>{tankName(journal, tankId)}</dt>
            <dd>
              {day(from)} {to === null ? 'until now' : `to ${day(to)}`}
            </dd>
          </div>
        ))}
        {passport.exposed && passport.kind === 'other' && (
          <div>
            <dt>days begin after</dt>
            <dd>{exposureWords(passport.exposed, clock)}</dd>
          </div>
        )}
      </Facts>
    </Stack>
  )
}
