import { useCallback, useEffect, useState } from 'react'
import { css, styled } from 'styled-components'
import { courseForCase } from '../../../../../core/microscope/tallies.ts'
import {
  counted,
  ENOUGH,
  moreToCount,
  spotsOf,
  type Counted,
  type Press,
} from '../../../../../core/microscope/tally.ts'
import { readLengths, sayLengths } from '../../../../../core/microscope/lengths.ts'
import { OBJECTIVES } from '../../../../../core/microscope/scale.ts'
import { iso } from '../../../../../core/time/zone.ts'
import { figures, percentSpan, percentText, plural } from '../../../../../core/words/numbers.ts'
import { useDraft } from '../../../../fields/draft.ts'
import { usePresses } from '../../../../fields/usePresses.ts'
import { numberIn } from '../../../../fields/number-in.ts'
import { thisInstant } from '../../../../frame/now.tsx'
import { isTyping } from '../../../../frame/shortcuts.ts'
import { entriesOf } from '../../../../journal/opened.ts'
import { useHousehold } from '../../../../journal/provider.tsx'
import { Button, ButtonLink, PlainButton, PrimaryButton } from '../../../../look/buttons.ts'
import { TwoParts } from '../../../../look/page.ts'
import { Bar, Figure, Heading, Line, Quiet, Small, Stack } from '../../../../look/text.ts'
import type { MicroscopeSubject } from '../useSubject.ts'
import { AfterKeeping } from './AfterKeeping.tsx'
import { Lengths } from './Lengths.tsx'
import { OverTime } from './OverTime.tsx'

const Keys = styled.div`
  display: grid;
  grid-template-columns: 1fr 1fr;
  gap: 14px;
`

const Key = styled.button<{ $small?: boolean }>`
  display: flex;
  flex-direction: column;
  align-items: center;
  justify-content: center;
  gap: 4px;
  min-height: 168px;
  border: 2px solid var(--second);
  border-radius: 2px;
  background: none;
  color: var(--ink);
  font-size: 18px;
  cursor: pointer;
  touch-action: manipulation;
  user-select: none;
  &:active {
    background: var(--band);
  }
  ${({ $small }) =>
    $small &&
    css`
      grid-column: 1 / -1;
      min-height: 64px;
      flex-direction: row;
      gap: 14px;
      border-color: var(--strong-rule);
    `}
`

const Cap = styled.kbd`
  font-family: var(--mono);
  font-size: 14px;
  color: var(--quiet);
  border: 1px solid var(--strong-rule);
  border-radius: 2px;
  padding: 0 7px;
`

/** Keys of the two hands at the eyepiece: F and J have a bump. */
const PRESS_OF: Readonly<Record<string, Press>> = { f: 'd', j: 'n', k: 'o', n: 'f' }
/** How a press is felt, ms: one short for a diatom, two for a dinoflagellate, so that the eye can stay at the eyepiece. */
const FELT: Readonly<Record<Press, number | number[]>> = { d: 18, n: [18, 50, 18], o: 40, f: 80, s: 80 }

/** Counting at the eyepiece: two big keys and a third, spot by spot, with the share and how sure it is. */
export function Tally({ subject }: { subject: MicroscopeSubject }) {
  const { tank, one, keeping } = subject
  const { journal, which } = useHousehold()
  const [values, change, forget] = useDraft(`${which}-tally-${tank.id}-${one?.id ?? ''}`)
  const [kept, setKept] = useState<string | null>(null)
  const count = usePresses(`${which}-tally-${tank.id}-${one?.id ?? ''}`, (id) => journal.entry(id) !== undefined)
  const { presses, change: changePresses } = count
  const times = OBJECTIVES.find(({ times: of }) => String(of) === values['times'])?.times ?? 10
  const { spots, fieldsDone } = spotsOf(presses)
  const now = counted(spots)
  const spotNumber = presses.split('s').length
  const inSpot = presses.slice(presses.lastIndexOf('s') + 1)
  const press = useCallback(
    (one: Press) => {
      changePresses((before) => before + one)
      setKept(null)
      if ('vibrate' in navigator) navigator.vibrate(FELT[one])
    },
    [changePresses],
  )
  const takeBack = useCallback(() => changePresses((before) => before.slice(0, -1)), [changePresses])
  useEffect(() => {
    const onKey = (event: KeyboardEvent) => {
      if (event.ctrlKey || event.metaKey || event.altKey || isTyping(event.target)) return
      const meant = PRESS_OF[event.key.toLowerCase()]
      if (meant && !event.repeat) {
        event.preventDefault()
        press(meant)
      } else if (event.key === 'Backspace') {
        event.preventDefault()
        takeBack()
      }
    }
    window.addEventListener('keydown', onKey)
    return () => window.removeEventListener('keydown', onKey)
  }, [press, takeBack])
  const typedScale = values['scale'] ?? ''
  const umPerDivision = typedScale === '' ? 1 : numberIn(typedScale)
  const scaleProblem = umPerDivision === null || umPerDivision <= 0 ? 'what one division is worth, such as 2.5' : null
  const { lengthsUm, problem } = readLengths(values['lengths'] ?? '', scaleProblem === null ? umPerDivision! : 1)
  const keep = async () => {
    const course = one && courseForCase(journal, one.id)
    const [stamped] = entriesOf(journal, [
      {
        kind: 'tally',
        happened: iso(thisInstant()),
        tankId: tank.id,
        ...(one && { caseId: one.id }),
        ...(course && { courseId: course.id }),
        objective: times,
        spots,
        ...(lengthsUm.length > 0 && { lengthsUm }),
      },
    ])
    // Under the id that its presses have on disk: closed between the two, it is not counted again.
    const entry = { ...stamped!, id: count.entryId }
    if (await keeping.run((household) => household.keepEntries([entry]), [entry])) {
      count.forget()
      forget()
      setKept(entry.id)
    }
  }
  return (
    <TwoParts>
      <Stack $gap={18}>
        <Line $gap={8} role="group" aria-label="Counted at">
          <span>Counted at</span>
          {OBJECTIVES.map((objective) => (
            <Button
              key={objective.times}
              aria-pressed={objective.times === times}
              onPress={() => change('times', String(objective.times))}
            >
              ×{objective.times}
            </Button>
          ))}
        </Line>
        <Line style={{ justifyContent: 'space-between' }}>
          <strong>
            Spot {spotNumber}, field {fieldsDone + 1}
          </strong>
          <Quiet>three spots, pooled: cells clump</Quiet>
        </Line>
        <Keys data-repeats>
          {(
            [
              ['d', 'Diatom', 'F'],
              ['n', 'Dinoflagellate', 'J'],
              ['o', 'Other', 'K'],
            ] as const
          ).map(([of, name, cap]) => (
            <Key
              key={of}
              type="button"
              $small={of === 'o'}
              // At the first touch, not at its end: counting is quick.
              // A screen reader presses without a touch.
              onClick={({ detail }) => {
                if (detail === 0) press(of)
              }}
              onPointerDown={(event) => {
                if (event.pointerType !== 'mouse' || event.button === 0) press(of)
              }}
              onKeyDown={(event) => {
                if ((event.key === ' ' || event.key === 'Enter') && !event.repeat) {
                  event.preventDefault()
                  press(of)
                }
              }}
            >
              <strong>{name}</strong>
              <Figure $size={of === 'o' ? 24 : 44}>{[...inSpot].filter((one) => one === of).length}</Figure>
              <Cap>{cap}</Cap>
            </Key>
          ))}
        </Keys>
        {count.refusal && (
          <Bar $tone="act" role="alert">
            {count.refusal.message}
          </Bar>
        )}
        <Line $gap={12}>
          <Button onPress={() => press('f')}>
            Next field <Cap>N</Cap>
          </Button>
          <Button onPress={() => press('s')} isDisabled={inSpot === ''}>
            Next spot
          </Button>
          <PlainButton data-repeats onPress={takeBack} isDisabled={presses === ''}>
            take the last back <Cap>⌫</Cap>
          </PlainButton>
          {presses !== '' && (
            <PlainButton onPress={() => changePresses(() => '')}>count again from nothing</PlainButton>
          )}
        </Line>
        <Lengths
          text={values['lengths'] ?? ''}
          scale={typedScale}
          says={sayLengths(lengthsUm)}
          problem={problem}
          scaleProblem={scaleProblem}
          onText={(text) => change('lengths', text)}
          onScale={(text) => change('scale', text)}
          subject={subject}
        />
      </Stack>
      <Stack $gap={24}>
        <section aria-live="polite">
          <Heading>Diatoms among the two</Heading>
          <Result counted={now} />
          <Line style={{ paddingTop: 12 }}>
            <PrimaryButton
              isDisabled={
                keeping.busy || count.isPending || spots.length === 0 || problem !== null || scaleProblem !== null
              }
              onPress={() => void keep()}
            >
              Keep the tally{one ? ' with the case' : ''}
            </PrimaryButton>
          </Line>
          {kept !== null && <AfterKeeping entryId={kept} subject={subject} />}
        </section>
        <OverTime tankId={tank.id} since={one?.startedAt ?? null} />
        <div>
          <ButtonLink href={subject.addressOf('next')}>What follows</ButtonLink>
        </div>
      </Stack>
    </TwoParts>
  )
}

/** The share with its interval, and how many more to count. */
function Result({ counted: now }: { counted: Counted }) {
  const more = moreToCount(now)
  if (now.share === null)
    return (
      <Small style={{ paddingTop: 10 }}>
        Count diatoms and dinoflagellates in the same fields: {ENOUGH.cells} cells, or {ENOUGH.fields} fields.
        {now.other > 0 && ` ${plural(now.other, 'other cell')} until now.`}
      </Small>
    )
  return (
    <Stack $gap={8} style={{ paddingTop: 10 }}>
      <Line $gap={14} style={{ alignItems: 'baseline' }}>
        <Figure $size={52}>{percentText(now.share)}</Figure>
        <span>
          <Figure>{percentSpan(now.low, now.high)} %</Figure> <Quiet>is where it lies, 95 times of 100</Quiet>
        </span>
      </Line>
      <p>
        {now.diatoms} diatoms, {now.dinos} dinoflagellates{now.other > 0 && `, ${now.other} others`} in{' '}
        {plural(now.fields ?? 0, 'field')}: {figures(now.cellsPerField ?? 0, 2)} cells a field.
      </p>
      <p style={{ fontWeight: 700 }}>
        {more === null
          ? 'Enough: this share can be told.'
          : more.cells === null
            ? 'Too close to a half for counting to tell; the next week’s tally will.'
            : `Count ${more.cells} more to be sure${more.for === 'half' ? ' which of the two leads' : ''}.`}
      </p>
      {now.spread && (
        <Bar $tone="soon">
          The spots differ: diatoms {percentText(now.spread.least)} at one, {percentText(now.spread.most)} at another.
          Look at them apart; the pooled share hides it.
        </Bar>
      )}
    </Stack>
  )
}
