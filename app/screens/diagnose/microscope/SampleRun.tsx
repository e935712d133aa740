import { styled } from 'styled-components'
import { SAMPLING_RUN, SLIDE_SECONDS } from '../../../../core/catalogue/microscope/sampling-run.data.ts'
import { clockText } from '../../../../core/time/words.ts'
import { allowSound } from '../../../arrivals/ring.ts'
import { useAwake } from '../../../arrivals/useAwake.ts'
import { useRing } from '../../../arrivals/useRing.ts'
import { useSecond } from '../../../arrivals/useSecond.ts'
import { Button, ButtonLink, PlainButton, PrimaryButton } from '../../../look/buttons.ts'
import { TwoParts } from '../../../look/page.ts'
import { Bar, Figure, Heading, Line, Quiet, Small, Stack } from '../../../look/text.ts'
import { useSlide } from './useSlide.ts'
import type { MicroscopeSubject } from './useSubject.ts'

const Step = styled.h2`
  font-size: 30px;
  line-height: 1.15;
  font-weight: 700;
`

const Does = styled.ul`
  font-size: 21px;
  line-height: 1.35;
  & > li + li {
    margin-top: 8px;
  }
`

const Steps = styled.ol`
  & > li {
    border-bottom: 1px dotted var(--strong-rule);
  }
  button {
    width: 100%;
    justify-content: flex-start;
    text-align: left;
    text-decoration: none;
  }
`

/** Taking a sample: one step at a time, with why, and a clock where something has to stand or must not stand long. */
export function SampleRun({ subject }: { subject: MicroscopeSubject }) {
  const slide = useSlide(subject.tank.id)
  const now = useSecond()
  useAwake()
  const { step: at } = slide
  const step = SAMPLING_RUN[at]!
  const isSettling = step.id === 'm2' && slide.settleFrom !== null
  const settleLeft = isSettling ? slide.settleFrom! + step.waitSeconds! * 1000 - now : null
  const isSettled = settleLeft !== null && settleLeft <= 0
  useRing(isSettled ? 'the sample has settled' : null)
  const next = SAMPLING_RUN[at + 1]
  const mayGoOn = step.id !== 'm2' || isSettled
  const onward = () => {
    allowSound()
    slide.go(at + 1)
  }
  return (
    <TwoParts>
      <Stack $gap={18}>
        <div>
          <Quiet>
            Step {at + 1} of {SAMPLING_RUN.length}
          </Quiet>
          <Step>{step.title}</Step>
        </div>
        {step.caution !== undefined && (
          <Bar $tone="act" role="note">
            {step.caution}
          </Bar>
        )}
        <Does>
          {step.does.map((line) => (
            <li key={line}>{line}</li>
          ))}
        </Does>
        <p>
          <strong>Why:</strong> {step.why}
        </p>
        {step.id === 'm2' && (
          <Stack $gap={10}>
            {settleLeft === null ? (
              <div>
                <PrimaryButton
                  onPress={() => {
                    allowSound()
                    slide.settle(Date.now())
                  }}
                >
                  Shaken: let it stand five minutes
                </PrimaryButton>
              </div>
            ) : (
              <div role="timer" aria-live="off">
                <Figure $size={64}>{clockText(Math.max(0, settleLeft))}</Figure>
                <Quiet> {isSettled ? 'it has settled: draw the light brown layer' : 'until it has settled'}</Quiet>
              </div>
            )}
            <Small>
              A locked phone does not ring; this page keeps the screen awake where it may, and rings at once when you
              come back.
            </Small>
          </Stack>
        )}
        {step.id === 'm5' && <SlideClock slide={slide} />}
        <Line>
          {next && mayGoOn && (
            <PrimaryButton onPress={onward}>{step.id === 'm4' ? 'The drop is on: look' : 'Done: next'}</PrimaryButton>
          )}
          {next && !mayGoOn && <PlainButton onPress={onward}>go on before it has settled</PlainButton>}
          {step.id === 'm5' && <ButtonLink href={subject.addressOf('key')}>Which kind is it?</ButtonLink>}
          {(step.id === 'm6' || step.id === 'm7') && (
            <ButtonLink href={subject.addressOf('tally')}>
              {step.id === 'm6' ? 'Write the lengths down' : 'To the tally'}
            </ButtonLink>
          )}
          {at > 0 && <PlainButton onPress={() => slide.go(at - 1)}>back</PlainButton>}
        </Line>
      </Stack>
      <section>
        <Heading>
          <span>The whole run</span>
          {at > 0 && <PlainButton onPress={slide.forget}>a new sample</PlainButton>}
        </Heading>
        <Steps>
          {SAMPLING_RUN.map(({ id, title }, i) => (
            <li key={id}>
              <PlainButton onPress={() => slide.go(i)} aria-current={i === at ? 'step' : undefined}>
                <Figure>{i + 1}</Figure> <span style={{ fontWeight: i === at ? 700 : 400 }}>{title}</span>
                {i < at && <Quiet>done</Quiet>}
              </PlainButton>
            </li>
          ))}
        </Steps>
      </section>
    </TwoParts>
  )
}

/** How long the drop is on the slide: motion is judged before the lamp has warmed it. */
export function SlideClock({ slide }: { slide: ReturnType<typeof useSlide> }) {
  const now = useSecond()
  if (slide.slideFrom === null)
    return (
      <div>
        <Button onPress={() => slide.put(Date.now())}>A fresh drop is on the slide</Button>
      </div>
    )
  const left = slide.slideFrom + SLIDE_SECONDS * 1000 - now
  return (
    <Line role="timer" aria-live="off">
      {left > 0 ? (
        <>
          <Figure $size={28}>{clockText(left)}</Figure>
          <Quiet>left to judge the motion on this drop</Quiet>
        </>
      ) : (
        <Bar $tone="soon">
          The drop is warm by now: what lies still may be a swimmer. Judge motion on a fresh one.{' '}
          <PlainButton onPress={() => slide.put(Date.now())}>a fresh drop is on</PlainButton>
        </Bar>
      )}
    </Line>
  )
}
