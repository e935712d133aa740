import { useSearchParams } from 'react-router'
import { NIGHT_HABITS } from '../../../../core/catalogue/microscope/night-habits.data.ts'
import { conditionFacts, conditionName } from '../../../../core/diagnosis/condition-facts.ts'
import { DARK_JAR_HOURS } from '../../../../core/diagnosis/night-test.ts'
import { followingOf } from '../../../../core/microscope/following.ts'
import { FurtherSteps } from '../FurtherSteps.tsx'
import { Button, ButtonLink } from '../../../look/buttons.ts'
import { HandbookLink } from '../../../look/HandbookLink.tsx'
import { TwoParts } from '../../../look/page.ts'
import { Bar, Heading, Line, Quiet, Small, Stack } from '../../../look/text.ts'
import type { Case } from '../../../../core/diagnosis/cases.ts'
import { JAR_WORDS, JarOfCase } from './JarOfCase.tsx'
import type { MicroscopeSubject } from './useSubject.ts'

/** Which kind it is about: asked by the address, else confirmed or thought of in the case. */
function useCondition({ one }: MicroscopeSubject): [string | null, (id: string) => void] {
  const [params, setParams] = useSearchParams()
  const asked = params.get('of')
  const ofCase =
    one?.causes.findLast(({ state }) => state === 'confirmed') ??
    one?.causes.findLast(({ state }) => state === 'thought-of')
  const condition = asked ?? ofCase?.id ?? null
  return [
    condition !== null && conditionFacts(condition) ? condition : null,
    (id) => setParams({ ...Object.fromEntries(params), of: id }, { replace: true }),
  ]
}

/** From the kind to the plan: where its cells are at night, the jar that settles it, and what then reaches them. */
export function Following({ subject }: { subject: MicroscopeSubject }) {
  const { tank, one, table } = subject
  const [condition, choose] = useCondition(subject)
  const jar = one?.nightTest?.place ?? null
  const following = condition === null ? null : followingOf(condition, jar)
  const facts = condition === null ? null : conditionFacts(condition)
  const isConfirmed = one?.causes.some(({ id, state }) => id === condition && state === 'confirmed') ?? false
  const steps = following?.plans ?? facts?.plans ?? []
  return (
    <TwoParts>
      <Stack $gap={18}>
        {facts ? (
          <>
            <div>
              <Quiet>{isConfirmed ? 'Confirmed in the case' : 'If it is this'}</Quiet>
              <h2 style={{ fontSize: 27, lineHeight: 1.2 }}>{facts.name}</h2>
            </div>
            {following ? (
              <>
                <p style={{ fontSize: 20, lineHeight: 1.35 }}>
                  {jar === null ? `It ${following.habit.where}.` : `The jar was ${JAR_WORDS[jar]}.`}{' '}
                  {jar === null && following.habit.uv}
                </p>
                {following.fits === false && (
                  <Bar $tone="act">
                    That does not fit: this kind {following.habit.where}. Go through the key again with a fresh drop
                    before anything is dosed.
                  </Bar>
                )}
                <p>
                  <strong>What reaches it:</strong> {following.habit.lever}.
                </p>
                <Small>How well that is known: {following.habit.source}.</Small>
              </>
            ) : null}
            {facts.note !== null && <p>{facts.note}.</p>}
            <Heading>Which plan</Heading>
            <FurtherSteps
              table={table}
              facts={{ ...facts, plans: steps }}
              tankId={tank.id}
              caseId={one?.id ?? null}
              isConfirmed={isConfirmed}
            />
            {steps.length > 1 && (
              <Small>The first is begun with: one treating plan at a time shows what it does.</Small>
            )}
            {facts.doNot.length > 0 && <Bar $tone="soon">Do not: {facts.doNot.join('; ')}.</Bar>}
            <Small>
              <HandbookLink to={following ? `outbreaks#${following.habit.condition}` : `organisms#${facts.id}`}>
                In the handbook
              </HandbookLink>
            </Small>
          </>
        ) : (
          <p>Go through the key first, or choose a kind here.</p>
        )}
        {tank.water === 'marine' && (
          <Stack $gap={10}>
            <Heading>Another kind</Heading>
            <Line $gap={8} role="group" aria-label="Kind">
              {NIGHT_HABITS.map(({ condition: id }) => (
                <Button key={id} aria-pressed={id === condition} onPress={() => choose(id)}>
                  {conditionName(id).replace('Dinos: ', '')}
                </Button>
              ))}
            </Line>
          </Stack>
        )}
      </Stack>
      <DarkJar one={one} subject={subject} isWanted={following?.wantsJar ?? false} />
    </TwoParts>
  )
}

/** The lights-off jar: put away, looked at after two hours, and what it showed. */
function DarkJar({ one, subject, isWanted }: { one: Case | null; subject: MicroscopeSubject; isWanted: boolean }) {
  return (
    <section>
      <Heading>
        <span>The dark jar</span>
        {isWanted && <Quiet>settles it</Quiet>}
      </Heading>
      <Stack $gap={12} style={{ paddingTop: 12 }}>
        <p>
          Shake the sample in its jar and put it in the dark for {DARK_JAR_HOURS} hours. Then look, without shaking:
          brown evenly through the water means that they swim at night; clear water over a brown bottom, that they stay
          in the sand.
        </p>
        {one && one.ended === null ? (
          <JarOfCase one={one} />
        ) : (
          <Small>
            Its clock and what it showed are kept with a case.{' '}
            {subject.open.length === 0 && 'Answer the key, then keep the case.'}
          </Small>
        )}
        {!one && (
          <ButtonLink href={`/diagnose/look?tank=${subject.tank.id}&at=film`}>Open a case for this film</ButtonLink>
        )}
        <Small>
          <strong>By the tank itself:</strong> two hours after lights-off pour one litre of tank water through a white
          coffee filter. A brown ring: UV will catch them.
        </Small>
        <Small>
          <strong>Dinoflagellates or dust?</strong> Shake the sample, pour it through coffee paper, and leave what ran
          through in the light for an hour: new strings or clumps are dinoflagellates; clear water or plain dust is
          diatoms or detritus.
        </Small>
      </Stack>
    </section>
  )
}
