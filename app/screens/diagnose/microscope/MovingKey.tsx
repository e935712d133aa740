import { useState } from 'react'
import { styled } from 'styled-components'
import { cellKind } from '../../../../core/catalogue/microscope/cell-kinds.data.ts'
import type { CellKindId, KeyChoice, KeyFind, KeyStep } from '../../../../core/catalogue/microscope/microscope.types.ts'
import { conditionName } from '../../../../core/diagnosis/condition-facts.ts'
import { askedSigns } from '../../../../core/diagnosis/signs.ts'
import {
  conditionsIn,
  keyStep,
  kindsFound,
  questionsLeft,
  signsSaid,
  walkKey,
  type KeyAnswer,
  type KeyPlace,
} from '../../../../core/microscope/key.ts'
import { sayLengths } from '../../../../core/microscope/lengths.ts'
import { talliesOf } from '../../../../core/microscope/tallies.ts'
import type { Objective } from '../../../../core/microscope/scale.ts'
import { dayBeside } from '../../../../core/time/words.ts'
import { figures, plural } from '../../../../core/words/numbers.ts'
import { useDraft } from '../../../fields/draft.ts'
import { useNow } from '../../../frame/now.tsx'
import { useHousehold } from '../../../journal/provider.tsx'
import { Button, ButtonLink, PlainButton, PrimaryButton } from '../../../look/buttons.ts'
import { Bar, Heading, Line, Quiet, Rows, Small, Stack } from '../../../look/text.ts'
import { FieldCanvas, useReducedMotion } from './FieldCanvas.tsx'
import { FieldControls } from './FieldControls.tsx'
import { SlideClock } from './SampleRun.tsx'
import { useSlide } from './useSlide.ts'
import type { MicroscopeSubject } from './useSubject.ts'

const Split = styled.div`
  display: grid;
  grid-template-columns: minmax(0, 1fr) minmax(0, 1.15fr);
  grid-template-rows: auto auto 1fr;
  gap: 16px 40px;
  align-items: start;
  & > :nth-child(2) {
    grid-column: 2;
    grid-row: 1 / span 3;
  }
  // On the phone the fields stand between the question and its answers.
  @media (max-width: 899px) {
    grid-template-columns: minmax(0, 1fr);
    & > :nth-child(2) {
      grid-column: 1;
      grid-row: auto;
    }
  }
`

const Question = styled.h2`
  font-size: 27px;
  line-height: 1.2;
  font-weight: 700;
`

const Choices = styled.div`
  display: flex;
  flex-direction: column;
  gap: 10px;
  button {
    justify-content: flex-start;
    text-align: left;
    font-size: 17px;
    min-height: 52px;
  }
`

const Fields = styled.div`
  display: grid;
  grid-template-columns: repeat(2, minmax(0, 1fr));
  gap: 16px;
  figcaption {
    text-align: center;
    padding-top: 8px;
  }
`

/** Reads the answers that were kept; what is not one is left out. */
function readAnswers(text: string | undefined): KeyAnswer[] {
  try {
    const read: unknown = JSON.parse(text ?? '[]')
    return Array.isArray(read)
      ? read.filter(
          (one: Partial<KeyAnswer>): one is KeyAnswer => typeof one.step === 'string' && Array.isArray(one.wrote),
        )
      : []
  } catch {
    return []
  }
}

/** The key, question by question, with moving pictures of what a yes and a no look like; each answer becomes a sign. */
export function MovingKey({ subject }: { subject: MicroscopeSubject }) {
  const { tank, table, own, answer, one, keeping } = subject
  const { which } = useHousehold()
  const slide = useSlide(tank.id)
  const [values, change] = useDraft(`${which}-key-${tank.id}-${one?.id ?? ''}`)
  const [times, setTimes] = useState<Objective['times']>(10)
  const [isStopped, setIsStopped] = useState(false)
  // The same press twice would answer the next question unread.
  const [isAnswering, setIsAnswering] = useState(false)
  const isStill = useReducedMotion() || isStopped
  const given = readAnswers(values['given'])
  const place = walkKey(given, tank.water)
  const keepGiven = (next: readonly KeyAnswer[]) => change('given', JSON.stringify(next))
  const choose = async (step: KeyStep, choice: KeyChoice) => {
    const said = signsSaid(choice, table, own)
    setIsAnswering(true)
    if (await answer(said))
      keepGiven([
        ...given,
        {
          step: step.id,
          choice: choice.id,
          wrote: said.map(({ sign }) => ({ sign, before: own[sign] ?? 'not-looked' })),
        },
      ])
    setIsAnswering(false)
  }
  const back = async () => {
    const last = given.at(-1)
    if (!last) return
    if (await answer(last.wrote.map(({ sign, before }) => ({ sign, answer: before })))) keepGiven(given.slice(0, -1))
  }
  const asked = place.at === 'question' ? place.step : null
  const left = questionsLeft(place, tank.water)
  const signs = askedSigns(table)
  return (
    <Split>
      <Asked place={place} isFirst={given.length === 0} left={left} />
      <Stack $gap={14}>
        <FieldControls times={times} onTimes={setTimes} isStopped={isStopped} onStop={setIsStopped} />
        <Fields>
          {asked ? (
            <>
              <Shown title="Yes looks like this" kinds={asked.shows.yes} times={times} isStill={isStill} />
              <Shown title="No looks like this" kinds={asked.shows.no} times={times} isStill={isStill} />
            </>
          ) : (
            place.at === 'found' && (
              <Shown title="What was found" kinds={kindsFound(place.find)} times={times} isStill={isStill} />
            )
          )}
        </Fields>
        <Small>
          Drawn to scale: the same µm are as long in every picture. Speeds are an order of magnitude, assumed; real
          cells slow down in cold and heat.
        </Small>
      </Stack>
      <Stack $gap={16}>
        {asked && (
          <Choices key={asked.id}>
            {asked.choices.map((choice) => (
              <Button
                key={choice.id}
                isDisabled={keeping.busy || isAnswering}
                onPress={() => void choose(asked, choice)}
              >
                {choice.label}
              </Button>
            ))}
          </Choices>
        )}
        {place.at === 'found' && <Found find={place.find} subject={subject} />}
        {given.length > 0 && (
          <Line $gap={16}>
            <PlainButton isDisabled={keeping.busy} onPress={() => void back()}>
              take the last answer back
            </PlainButton>
            <PlainButton onPress={() => keepGiven([])}>
              {asked ? 'begin again' : 'follow another kind of cell through'}
            </PlainButton>
          </Line>
        )}
        <SlideClock slide={slide} />
        {given.length > 0 && (
          <section aria-label="Answered">
            <Heading>Answered</Heading>
            <Rows>
              {given.map(({ step, choice, wrote }, i) => (
                <li key={`${step} ${i}`}>
                  <AnsweredLine step={step} choice={choice} />
                  {wrote.length > 0 && (
                    <Small>
                      {one ? 'in the case' : 'in the look'}:{' '}
                      {wrote.map(({ sign }) => signs.get(sign)?.label.toLowerCase() ?? sign).join('; ')}
                    </Small>
                  )}
                </li>
              ))}
            </Rows>
          </section>
        )}
        {!one && given.some(({ wrote }) => wrote.length > 0) && (
          <ButtonLink href={`/diagnose/look?tank=${tank.id}&at=film`}>
            Add what shows by eye, and keep the case
          </ButtonLink>
        )}
      </Stack>
    </Split>
  )
}

/** The question, or what the answers came to. */
function Asked({ place, isFirst, left }: { place: KeyPlace; isFirst: boolean; left: number }) {
  if (place.at === 'question')
    return (
      <Stack $gap={10}>
        <div>
          <Quiet>{isFirst ? 'Follow one kind of cell through' : `at most ${left} more questions`}</Quiet>
          <Question>{place.step.question}</Question>
        </div>
        <p>{place.step.how}</p>
      </Stack>
    )
  return (
    <div>
      <Quiet>{place.at === 'found' ? 'By the key' : 'Not told yet'}</Quiet>
      <Question>{place.at === 'found' ? place.find.words : place.words}</Question>
    </div>
  )
}

function Shown({
  title,
  kinds,
  times,
  isStill,
}: {
  title: string
  kinds: readonly CellKindId[]
  times: Objective['times']
  isStill: boolean
}) {
  if (kinds.length === 0) return null
  const words = kinds.map((kind) => cellKind(kind))
  return (
    <figure>
      <FieldCanvas
        kinds={kinds}
        times={times}
        seed={7}
        isStill={isStill}
        label={`${title}, at ×${times}. ${words.map(({ name, looks, moves }) => `${name}: ${looks}; ${moves}`).join('. ')}.`}
      />
      <figcaption>
        <strong>{title}</strong>
        {words.map(({ id, name, moves }) => (
          <Small key={id}>
            {name}: {moves}
          </Small>
        ))}
      </figcaption>
    </figure>
  )
}

function AnsweredLine({ step, choice }: { step: string; choice: string }) {
  const asked = keyStep(step)
  return (
    <>
      {asked?.question} <strong>{asked?.choices.find(({ id }) => id === choice)?.label}</strong>
    </>
  )
}

/** What the key came to, and what can be done with it. */
function Found({ find, subject }: { find: KeyFind; subject: MicroscopeSubject }) {
  const { one, tank, keeping } = subject
  const { journal, settings } = useHousehold()
  const now = useNow()
  const tally = talliesOf(journal, tank.id).findLast(({ lengthsUm }) => lengthsUm.length > 0)
  const measured = sayLengths(tally?.lengthsUm ?? [])
  // Once lengths are written down they say which of the two it is.
  const isOpen = find.measure === true && measured.cell === null
  const fitting = conditionsIn(find, tank.water).filter((id) => !find.measure || id.endsWith(`-${measured.cell}`))
  const confirmed = new Set(one?.causes.filter(({ state }) => state === 'confirmed').map(({ id }) => id))
  return (
    <>
      {isOpen && (
        <Bar $tone="soon">
          The two want different plans: the large one stays in the sand, the small one may not. Write twenty lengths
          down first.
        </Bar>
      )}
      {find.measure && tally && measured.medianUm !== null && (
        <p>
          Lengths kept {dayBeside(settings.clock.dayOf(tally.at), settings.clock.dayOf(now))}: median{' '}
          {figures(measured.medianUm)} µm of {plural(measured.count, 'cell')}. Were they of another kind, measure these.
        </p>
      )}
      <Choices>
        {isOpen && <ButtonLink href={subject.addressOf('tally')}>Write the lengths down</ButtonLink>}
        {!isOpen &&
          fitting.map((condition) => (
            <Line key={condition}>
              {one &&
                one.ended === null &&
                (confirmed.has(condition) ? (
                  <Quiet>Confirmed in the case: {conditionName(condition)}</Quiet>
                ) : (
                  <PrimaryButton
                    isDisabled={keeping.busy}
                    onPress={() => void subject.confirm(condition, `by the key: ${find.words}`)}
                  >
                    Confirm in the case: {conditionName(condition)}
                  </PrimaryButton>
                ))}
              <ButtonLink href={`${subject.addressOf('next')}&of=${condition}`}>What follows</ButtonLink>
            </Line>
          ))}
      </Choices>
      <Small>A sample may hold two kinds: follow the other one through as well, then count both in the tally.</Small>
    </>
  )
}
