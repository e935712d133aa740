import { useState } from 'react'
import { styled } from 'styled-components'
import { bandFor } from '../../../core/catalogue/parameter.ts'
import type { Tank } from '../../../core/household/tanks.ts'
import type { ContentOf } from '../../../core/journal/entry.ts'
import { expectedReading } from '../../../core/readings/expected.ts'
import { readTyped, typedUnit, type TypedReading } from '../../../core/readings/typed-reading.ts'
import { dayBeside } from '../../../core/time/words.ts'
import { iso } from '../../../core/time/zone.ts'
import { meanOfRepeats, REPEAT_GAP_MS } from '../../../core/water/points.ts'
import { sayPrediction } from '../../../core/water/prediction-words.ts'
import { bandState, isOutOfBand, type BandState, type TankTest } from '../../../core/water/tests.ts'
import { readLevelDown } from '../../../core/water/level-typed.ts'
import { parameterValue, parameterWidth, quantityText } from '../../../core/words/quantities.ts'
import { plural } from '../../../core/words/numbers.ts'
import { useDraft } from '../../fields/draft.ts'
import { FigureField } from '../../fields/plain.tsx'
import { thisInstant, useNow } from '../../frame/now.tsx'
import { useKeeping, UnkeptNote } from '../../journal/keeping.tsx'
import { useHousehold } from '../../journal/provider.tsx'
import { Button, ButtonLink, PlainButton, PrimaryButton } from '../../look/buttons.ts'
import { Bar, Figure, Line, Quiet, Small, Stack } from '../../look/text.ts'
import { DoubtList, useDoubts } from '../../safety/Doubts.tsx'
import { LevelLine } from '../../water/LevelLine.tsx'
import { SideRises } from '../../water/SideRises.tsx'
import { TwoMethodsNote } from './TwoMethodsNote.tsx'

const Pad = styled.ul`
  display: grid;
  grid-template-columns: repeat(auto-fill, minmax(270px, 1fr));
  gap: 0 28px;
  @media (max-width: 759px) {
    grid-template-columns: minmax(0, 1fr);
  }
  & > li {
    border-bottom: 1px dotted var(--strong-rule);
    padding: 14px 0;
  }
`

const Due = styled.span<{ $late: boolean }>`
  font-size: 14px;
  font-weight: 650;
  color: var(--${({ $late }) => ($late ? 'act' : 'soon')});
`

const STATES: Record<BandState, string> = {
  low: 'under its band',
  in: 'in its band',
  high: 'over its band',
  'no-band': '',
}

/** How far the level is down, among what is typed. */
const LEVEL = 'level down'

/** A second figure of the same test. */
const againId = (parameter: string) => `${parameter} again`

/** The tests of a tank: typed as the kit prints them, checked as they are typed, kept together. */
export function TankPad({ tank, tests }: { tank: Tank; tests: readonly TankTest[] }) {
  const { journal, settings, which } = useHousehold()
  const { keep, busy, unkept } = useKeeping()
  const [values, change, forget] = useDraft(`${which}-round-${tank.id}`)
  const [showsAll, setShowsAll] = useState(false)
  const [kept, setKept] = useState<number | null>(null)
  const [proposed, setProposed] = useState<readonly ContentOf<'reading'>[]>([])
  const doubts = useDoubts(proposed)
  const now = useNow()
  const readAt = (parameter: TankTest['parameter'], text: string | undefined, at: number): TypedReading | null =>
    text?.trim() ? readTyped(parameter, text, tank, iso(at), { journal, settings, now: thisInstant() }) : null
  const typed = tests.map((test) => ({
    test,
    first: readAt(test.parameter, values[test.parameter.id], now),
    second: readAt(test.parameter, values[againId(test.parameter.id)], now),
  }))
  const isShown = ({ test, first }: (typeof typed)[number]) =>
    showsAll || test.due !== null || first !== null || isOutOfBand(test)
  const hidden = typed.filter((one) => !isShown(one)).length
  const count = typed.filter(({ first }) => first !== null).length
  const isWrong = typed.some(({ first, second }) => [first, second].some((one) => one !== null && 'message' in one))
  const send = async () => {
    const at = thisInstant()
    const level = readLevelDown(tank, values[LEVEL] ?? '', settings.units)
    const downL = level && 'downL' in level ? level.downL : 0
    const contents = typed.flatMap(({ test: { parameter } }) => {
      const again = values[againId(parameter.id)]
      return [
        readAt(parameter, values[parameter.id], again?.trim() ? at - REPEAT_GAP_MS : at),
        readAt(parameter, again, at),
      ].flatMap((one) => (one && 'content' in one ? [{ ...one.content, ...(downL > 0 && { downL }) }] : []))
    })
    if (contents.length === 0) return
    setProposed(contents)
    await doubts.ready()
    if (!doubts.isClearFor(contents)) return
    if (!(await keep(doubts.answered(contents)))) return
    forget()
    setKept(contents.length)
  }
  return (
    <form
      onSubmit={(event) => {
        event.preventDefault()
        void send()
      }}
    >
      <Stack $gap={10} style={{ paddingTop: 10 }}>
        {tank.water === 'marine' && (
          <LevelLine tank={tank} value={values[LEVEL] ?? ''} onChange={(text) => change(LEVEL, text)} />
        )}
        <SideRises tank={tank} />
        <TwoMethodsNote tank={tank} />
      </Stack>
      <Pad>
        {typed.filter(isShown).map(({ test, first, second }) => (
          <OneTest
            key={test.parameter.id}
            tank={tank}
            test={test}
            first={first}
            second={second}
            value={values[test.parameter.id] ?? ''}
            again={values[againId(test.parameter.id)]}
            onChange={(text) => {
              setKept(null)
              change(test.parameter.id, text)
            }}
            onAgain={(text) => change(againId(test.parameter.id), text)}
          />
        ))}
      </Pad>
      <Stack $gap={10} style={{ paddingTop: 14 }}>
        <DoubtList doubts={doubts} />
        {unkept && <UnkeptNote unkept={unkept} />}
        <Line $gap={16}>
          <PrimaryButton type="submit" isDisabled={busy || count === 0 || isWrong}>
            {count === 0 ? 'Log the readings' : `Log ${plural(count, 'test')} of ${tank.name}`}
          </PrimaryButton>
          {(hidden > 0 || showsAll) && (
            <PlainButton aria-expanded={showsAll} onPress={() => setShowsAll(!showsAll)}>
              {showsAll ? 'what is due alone' : plural(hidden, 'other test')}
            </PlainButton>
          )}
          <ButtonLink href={`/water/charts?tank=${tank.id}`}>Charts</ButtonLink>
          {kept !== null && <span role="status">{plural(kept, 'reading')} kept.</span>}
        </Line>
      </Stack>
    </form>
  )
}

function OneTest({
  tank,
  test: { parameter, kit, last, state, due },
  first,
  second,
  value,
  again,
  onChange,
  onAgain,
}: {
  tank: Tank
  test: TankTest
  first: TypedReading | null
  second: TypedReading | null
  value: string
  again: string | undefined
  onChange: (text: string) => void
  onAgain: (text: string) => void
}) {
  const { journal, settings } = useHousehold()
  const now = useNow()
  const { clock, units } = settings
  const say = (of: number) => quantityText(parameterValue(parameter.id, of, units))
  const band = bandFor(parameter, tank.profile)
  const unit = typedUnit(journal, tank.id, parameter, units)
  const plainOf = (one: TypedReading | null) =>
    one && 'content' in one && one.content.result.kind === 'value'
      ? { at: now, value: one.content.result.value, halfWidth: one.content.uncertainty ?? 0 }
      : null
  const [one, two] = [plainOf(first), plainOf(second)]
  const mean = one && two ? meanOfRepeats([one, two]) : null
  const isFar = first !== null && 'content' in first && first.isFar
  const expected = expectedReading(journal, tank.id, parameter.id, now + 1)
  const predicted = expected && sayPrediction(expected, parameter, settings, now)
  return (
    <li>
      <Line style={{ justifyContent: 'space-between', alignItems: 'baseline' }}>
        <strong>{parameter.name}</strong>
        {due && (
          <Due $late={due.isLate}>
            {due.isLate ? 'late' : 'due'}: {due.why}
          </Due>
        )}
      </Line>
      <Small>
        {last ? (
          <>
            last <Figure>{say(last.value)}</Figure> {dayBeside(clock.dayOf(last.at), clock.dayOf(now))}
            {state !== 'no-band' && (
              <span style={state === 'in' ? undefined : { color: 'var(--soon)', fontWeight: 650 }}>
                , {STATES[state]}
              </span>
            )}
          </>
        ) : (
          'not tested yet'
        )}
        {band && ` (${bandWords(band, say)})`}
        {kit && <Quiet>; {kit.name}</Quiet>}
      </Small>
      {predicted && <Small>{predicted}</Small>}
      <div style={{ paddingTop: 8 }}>
        <FigureField
          label={<span className="visually-hidden">{parameter.name}</span>}
          after={unit}
          value={value}
          onChange={onChange}
          problem={first && 'message' in first ? first : undefined}
        />
      </div>
      {first && 'content' in first && (
        <Stack $gap={8} style={{ paddingTop: 8 }}>
          {one && bandState(parameter, tank.profile, one.value) !== 'in' && band && (
            <Small style={{ color: 'var(--soon)', fontWeight: 650 }}>
              {say(one.value)} is {STATES[bandState(parameter, tank.profile, one.value)]}.
            </Small>
          )}
          {first.notices.map((notice) => (
            <Bar key={notice} $tone={isFar ? 'soon' : 'second'}>
              {notice}
            </Bar>
          ))}
          {again === undefined && isFar && (
            <div>
              <Button onPress={() => onAgain('')}>Repeat the test</Button>
            </div>
          )}
          {again === undefined && !isFar && one && (
            <div>
              <PlainButton onPress={() => onAgain('')}>tested twice</PlainButton>
            </div>
          )}
          {again !== undefined && (
            <FigureField
              label="The same test again"
              after={unit}
              value={again}
              onChange={onAgain}
              problem={second && 'message' in second ? second : undefined}
            />
          )}
          {mean && (
            <p role="status">
              Together <Figure $size={20}>{say(mean.value)}</Figure>
              {mean.halfWidth > 0 && (
                <Quiet> ± {parameterWidth(parameter.id, mean.value, mean.halfWidth, units)}</Quiet>
              )}
            </p>
          )}
        </Stack>
      )}
    </li>
  )
}

function bandWords([low, high]: readonly [number | null, number | null], say: (value: number) => string): string {
  if (low === null) return `at most ${say(high!)}`
  return high === null ? `at least ${say(low)}` : `${say(low)} to ${say(high)}`
}
