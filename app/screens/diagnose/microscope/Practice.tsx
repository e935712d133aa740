import { useState } from 'react'
import { cellKind } from '../../../../core/catalogue/microscope/cell-kinds.data.ts'
import type { CellKindId } from '../../../../core/catalogue/microscope/microscope.types.ts'
import { ASKED_KINDS, judge, nextRound, NO_SCORE, scored } from '../../../../core/microscope/practice.ts'
import type { Objective } from '../../../../core/microscope/scale.ts'
import { plural } from '../../../../core/words/numbers.ts'
import { PlainButton, PrimaryButton } from '../../../look/buttons.ts'
import { CheckChip } from '../../../look/CheckChip.ts'
import { TwoParts } from '../../../look/page.ts'
import { Bar, Figure, Heading, Line, Quiet, Rows, Small, Stack } from '../../../look/text.ts'
import { FieldCanvas, useReducedMotion } from './FieldCanvas.tsx'
import { FieldControls } from './FieldControls.tsx'
import { forgetScore, keepScore, readScore } from './score.ts'

const newSeed = () => Math.floor(Math.random() * 2 ** 31)

/** Naming what moves, before it matters: a field of one kind or two, and what gave each away. */
export function Practice() {
  const [score, setScore] = useState(readScore)
  const [round, setRound] = useState(() => nextRound(score, newSeed()))
  const [guess, setGuess] = useState<readonly CellKindId[]>([])
  const [isTold, setIsTold] = useState(false)
  const [times, setTimes] = useState<Objective['times']>(10)
  const [isStopped, setIsStopped] = useState(false)
  const isReduced = useReducedMotion()
  const judged = judge(round, guess)
  const tell = () => {
    const next = scored(score, round, guess)
    setScore(next)
    keepScore(next)
    setIsTold(true)
  }
  const again = () => {
    setRound(nextRound(score, newSeed()))
    setGuess([])
    setIsTold(false)
  }
  const missed = ASKED_KINDS.flatMap((kind) => {
    const of = score.kinds[kind]
    return of && of.right < of.seen ? [{ kind, missed: of.seen - of.right, seen: of.seen }] : []
  }).sort((a, b) => b.missed / b.seen - a.missed / a.seen)
  return (
    <TwoParts>
      <Stack $gap={14}>
        <FieldControls times={times} onTimes={setTimes} isStopped={isStopped} onStop={setIsStopped} />
        <FieldCanvas
          kinds={['sand', ...round.kinds]}
          times={times}
          seed={round.seed}
          isStill={isReduced || isStopped}
          named={isTold ? round.kinds : []}
          label={
            isTold
              ? `A field of ${round.kinds.map((kind) => cellKind(kind).name).join(' and ')}`
              : // Who does not see the field is told how it looks and moves, as the others see it.
                `A field to be named, with ${round.kinds.map((kind) => `${cellKind(kind).looks}; ${cellKind(kind).moves}`).join('. And ')}`
          }
        />
      </Stack>
      <Stack $gap={20}>
        <section>
          <Heading>What is in this field?</Heading>
          <Stack $gap={14} style={{ paddingTop: 12 }}>
            <Small>One kind or two; sand lies in every field. Change the power as often as you like.</Small>
            <Line $gap={8} role="group" aria-label="Kinds">
              {ASKED_KINDS.map((kind) => (
                <CheckChip
                  key={kind}
                  isDisabled={isTold}
                  isSelected={guess.includes(kind)}
                  onChange={(is) => setGuess(is ? [...guess, kind] : guess.filter((one) => one !== kind))}
                >
                  {cellKind(kind).name}
                </CheckChip>
              ))}
            </Line>
            {!isTold && (
              <div>
                <PrimaryButton isDisabled={guess.length === 0} onPress={tell}>
                  That is it
                </PrimaryButton>
              </div>
            )}
            {isTold && (
              <div role="status">
                <Bar $tone={judged.isRight ? 'second' : 'soon'}>
                  <strong>{judged.isRight ? 'Right.' : 'Not quite.'}</strong>
                </Bar>
                <Rows>
                  {judged.there.map(({ kind, wasNamed, words }) => (
                    <li key={kind}>
                      <strong>{cellKind(kind).name}</strong> <Quiet>{wasNamed ? 'seen' : 'missed'}</Quiet>
                      <p>{words}.</p>
                    </li>
                  ))}
                  {judged.notThere.map(({ kind, words }) => (
                    <li key={kind}>
                      <strong>{cellKind(kind).name}</strong> <Quiet>is not there</Quiet>
                      <p>It {words}.</p>
                    </li>
                  ))}
                </Rows>
                <div style={{ paddingTop: 14 }}>
                  <PrimaryButton onPress={again}>The next field</PrimaryButton>
                </div>
              </div>
            )}
          </Stack>
        </section>
        <section>
          <Heading>
            <span>Your score</span>
            {score.rounds > 0 && (
              <PlainButton
                onPress={() => {
                  forgetScore()
                  setScore(NO_SCORE)
                }}
              >
                from nothing again
              </PlainButton>
            )}
          </Heading>
          {score.rounds === 0 ? (
            <Small style={{ paddingTop: 10 }}>Nothing guessed yet. It is kept on this device alone.</Small>
          ) : (
            <Stack $gap={8} style={{ paddingTop: 10 }}>
              <p>
                <Figure $size={30}>{score.right}</Figure> of {plural(score.rounds, 'field')}
                {score.inARow > 1 && `, ${score.inARow} in a row`}
              </p>
              {missed.slice(0, 3).map(({ kind, missed: times_, seen }) => (
                <Small key={kind}>
                  {cellKind(kind).name}: missed {times_} of {seen}; asked more often now.
                </Small>
              ))}
            </Stack>
          )}
        </section>
      </Stack>
    </TwoParts>
  )
}
