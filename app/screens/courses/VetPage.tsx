import { useSearchParams } from 'react-router'
import { ingredientById } from '../../../core/catalogue/ingredient.ts'
import { animalLabel } from '../../../core/household/animals.ts'
import { doseLevel, VET_DAYS, vetPageOf } from '../../../core/household/vet-page.ts'
import { tankById } from '../../../core/household/tanks.ts'
import type { Journal, Line as JournalLine } from '../../../core/journal/journal.ts'
import { momentBeside } from '../../../core/time/words.ts'
import { figures, listed } from '../../../core/words/numbers.ts'
import { quantityText, volume } from '../../../core/words/quantities.ts'
import { thisInstant } from '../../frame/now.tsx'
import { useHousehold } from '../../journal/provider.tsx'
import { PrimaryButton } from '../../look/buttons.ts'
import { Missing } from '../../look/Missing.tsx'
import { Page, PageHead } from '../../look/page.ts'
import { Heading, Rows, Small, Stack, Title } from '../../look/text.ts'
import { contentMarks, marksText, wordingOf } from '../../words/entries.ts'

/** What a dose is of, and the level that it made: “, chelated copper, 0.51 mg/L”. */
function levelWords(journal: Journal, line: JournalLine): string {
  const { content } = line
  const ingredient =
    content.kind === 'dose' || content.kind === 'bath' ? ingredientById(content.ingredient)?.name : undefined
  const level = doseLevel(journal, line)
  return [ingredient, level === null ? undefined : `${figures(level)} mg/L`]
    .flatMap((word) => (word === undefined ? [] : [`, ${word}`]))
    .join('')
}

/** What a veterinarian asks for about some fish, on one page to print or to read out. */
export function VetPage() {
  const [params] = useSearchParams()
  const { journal, settings } = useHousehold()
  const now = thisInstant()
  const page = vetPageOf(journal, params.getAll('animal'), now)
  if (page.animals.length === 0)
    return (
      <Missing title="No such fish" back="All courses" href="/courses">
        This page is opened from a course or a case, with its fish.
      </Missing>
    )
  const wording = wordingOf(journal, settings)
  const tanks = [...new Set(page.animals.flatMap(({ stays }) => stays.at(-1)?.tankId ?? []))].flatMap(
    (id) => tankById(journal, id) ?? [],
  )
  const list = (title: string, lines: readonly JournalLine[], none: string) => (
    <section>
      <Heading>{title}</Heading>
      {lines.length === 0 ? (
        <Small>{none}</Small>
      ) : (
        <Rows>
          {lines.map((line) => (
            <li key={line.id}>
              <strong>{momentBeside(line.at, now, settings.clock)}</strong>{' '}
              {marksText(contentMarks(line.content, wording))}
              {levelWords(journal, line)}
            </li>
          ))}
        </Rows>
      )}
    </section>
  )
  return (
    <Page>
      <PageHead>
        <div>
          <Title>For the veterinarian</Title>
          <Small>
            {listed(page.animals.map((animal) => `${animalLabel(animal)} (${animal.species})`))} ·{' '}
            {listed(
              tanks.map(
                ({ name, volume: size }) =>
                  `${name}${size ? `, ${quantityText(volume(size.netL, settings.units))} net` : ''}`,
              ),
            )}
          </Small>
        </div>
        <PrimaryButton onPress={() => window.print()}>Print it</PrimaryButton>
      </PageHead>
      <Stack $gap={22}>
        <Small>From the journal of the last {VET_DAYS} days, the latest first.</Small>
        {list('What was given', page.given, 'No medicine is on record.')}
        {list('What was seen', page.seen, 'No look is on record.')}
        {list('The water, last tested', page.water, 'No test is on record.')}
        {list('Changes, moves, deaths', page.happened, 'Nothing is on record.')}
      </Stack>
    </Page>
  )
}
