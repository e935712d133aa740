import { WORDS_LETTERS } from '../../../core/journal/contents/text-limits.ts'
import { useDeferredValue, useId, useState } from 'react'
import { styled } from 'styled-components'
import type { Answer, CaseTable } from '../../../core/catalogue/diagnosis/diagnosis.types.ts'
import type { Answers } from '../../../core/diagnosis/asking.ts'
import type { KnownFromJournal } from '../../../core/diagnosis/context.ts'
import { findSigns, regionsOf, type AskedSign } from '../../../core/diagnosis/signs.ts'
import { useIsPhone } from '../../look/useWidth.ts'
import { inputShape } from '../../fields/shell.tsx'
import { ButtonLink, PlainButton } from '../../look/buttons.ts'
import { Heading, Line, Quiet, Small, Stack } from '../../look/text.ts'
import { BehaviourDrawing, DRAWN_BEHAVIOURS, type DrawnBehaviour } from './drawings/behaviours.tsx'
import { SPOTS, SubjectDrawing, type DrawingKind } from './drawings/subjects.tsx'
import { SignRow } from './SignRow.tsx'

const Sheet = styled.div`
  position: relative;
  max-width: 620px;
  border: 1px solid var(--rule);
  background: var(--water);
  overflow: hidden;
`

const Spot = styled(PlainButton)`
  position: absolute;
  transform: translate(-50%, -50%);
  min-height: 44px;
  padding: 2px 9px;
  background: var(--sheet);
  border: 1.5px solid var(--strong-rule);
  text-decoration: none;
  font-size: 14.5px;
  white-space: nowrap;
  &[aria-pressed='true'] {
    border-color: var(--second);
    color: var(--second);
    font-weight: 700;
  }
`

const Chip = styled(Spot)`
  position: static;
  transform: none;
`

const Strip = styled.div`
  display: grid;
  grid-template-columns: repeat(auto-fill, minmax(104px, 1fr));
  gap: 8px;
  max-width: 620px;
`

const Tile = styled(PlainButton)`
  flex-direction: column;
  justify-content: space-between;
  gap: 2px;
  padding: 6px;
  min-height: 118px;
  border: 1.5px solid var(--rule);
  text-decoration: none;
  text-align: center;
  font-size: 14px;
  line-height: 1.2;
  overflow: hidden;
  &[aria-pressed='true'] {
    border-color: var(--second);
    background: var(--band);
    color: var(--second);
    font-weight: 700;
  }
`

const Search = styled.input`
  ${inputShape}
  font-size: 17px;
  max-width: 620px;
`

/** Which drawings a table is pointed at on: a pest and an ailing coral share one table. */
export type Subject = 'coral' | 'pest' | null

interface SignBoardProps {
  table: CaseTable
  subject: Subject
  answers: Answers
  known: readonly KnownFromJournal[]
  /** Signs that the keeper has answered: the journal's word stands back behind them. */
  own: Answers
  onAnswer: (sign: string, answer: Answer) => void
  /** Where signs under the microscope are answered by looking. */
  microscopeHref?: string
}

/** What is seen: pointed at on a drawing, found by plain words, or gone through as a list. */
export function SignBoard({ table, subject, answers, known, own, onAnswer, microscopeHref }: SignBoardProps) {
  const [regionId, setRegionId] = useState<string | null>(null)
  const [words, setWords] = useState('')
  const searched = useDeferredValue(words)
  const searchId = useId()
  const isPhone = useIsPhone()
  const regions = regionsOf(table)
  const kinds = [
    ...new Set(regions.flatMap(({ drawing }) => (drawing === null || drawing === 'behaviour' ? [] : [drawing]))),
  ].filter((kind) => subject === null || kind === subject) as DrawingKind[]
  const behaviours = regions.find(({ drawing }) => drawing === 'behaviour')
  const because = (sign: string) =>
    own[sign] === undefined ? known.find((one) => one.sign === sign)?.because : undefined
  const seenIn = (signs: readonly AskedSign[]) => signs.filter(({ id }) => answers[id] === 'present').length
  const row = (sign: AskedSign) => (
    <SignRow
      key={sign.id}
      sign={sign}
      answer={answers[sign.id] ?? 'not-looked'}
      because={because(sign.id)}
      onAnswer={onAnswer}
    />
  )
  const found = searched.trim() === '' ? null : findSigns(table, searched)
  const offered = regions.filter(({ drawing }) => subject === null || drawing === null || drawing === subject)
  // On the phone the ranking must not lie under forty rows: a region is opened by itself.
  const shown = regionId === null ? (isPhone ? [] : offered) : regions.filter(({ id }) => id === regionId)
  return (
    <Stack $gap={18}>
      {kinds.map((kind) => (
        <Sheet key={kind}>
          <SubjectDrawing kind={kind} />
          {regions
            .filter(({ drawing }) => drawing === kind)
            .map(({ id, label, signs }) => {
              const [x, y] = SPOTS[kind][id]!
              const seen = seenIn(signs)
              return (
                <Spot
                  key={id}
                  data-spot={id}
                  style={{ left: `clamp(72px, ${x}%, calc(100% - 72px))`, top: `${y}%` }}
                  aria-pressed={regionId === id}
                  onPress={() => setRegionId(regionId === id ? null : id)}
                >
                  {label}
                  {seen > 0 && <strong>{seen}</strong>}
                </Spot>
              )
            })}
        </Sheet>
      ))}
      {behaviours && (
        <Strip role="group" aria-label={behaviours.label}>
          {behaviours.signs
            .filter(({ id }) => DRAWN_BEHAVIOURS.has(id))
            .map(({ id, label }) => (
              <Tile
                key={id}
                aria-pressed={answers[id] === 'present'}
                onPress={() => onAnswer(id, answers[id] === 'present' ? 'not-looked' : 'present')}
              >
                <BehaviourDrawing of={id as DrawnBehaviour} />
                {label}
              </Tile>
            ))}
        </Strip>
      )}
      <Stack $gap={6}>
        <label htmlFor={searchId}>Or in your own words</label>
        <Search
          id={searchId}
          type="search"
          maxLength={WORDS_LETTERS}
          value={words}
          onChange={(event) => setWords(event.target.value)}
          placeholder="white spots, breathing fast"
          autoComplete="off"
        />
      </Stack>
      {isPhone && found === null && (
        <Line $gap={8} role="group" aria-label="Signs by place">
          {offered
            .filter(({ drawing }) => drawing === null || drawing === 'behaviour')
            .map(({ id, label, signs }) => (
              <Chip key={id} aria-pressed={regionId === id} onPress={() => setRegionId(regionId === id ? null : id)}>
                {label}
                {seenIn(signs) > 0 && <strong>{seenIn(signs)}</strong>}
              </Chip>
            ))}
        </Line>
      )}
      {found !== null ? (
        <section aria-label="Signs found">
          {found.length === 0 && <Small>No sign is called that. The list below has all of them.</Small>}
          {found.slice(0, 8).map(row)}
          <PlainButton onPress={() => setWords('')}>all signs again</PlainButton>
        </section>
      ) : (
        shown.map(({ id, label, signs }) => (
          <section key={id} aria-label={label}>
            <Heading as="h3">
              <span>
                {label} {seenIn(signs) > 0 && <Quiet>{seenIn(signs)} seen</Quiet>}
              </span>
              {regionId !== null && <PlainButton onPress={() => setRegionId(null)}>all signs</PlainButton>}
            </Heading>
            {id === 'micro' && microscopeHref !== undefined && (
              <div style={{ padding: '10px 0' }}>
                <ButtonLink href={microscopeHref}>Look through the microscope</ButtonLink>
              </div>
            )}
            {signs.map(row)}
          </section>
        ))
      )}
    </Stack>
  )
}
