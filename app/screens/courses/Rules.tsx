import { styled } from 'styled-components'
import { ruleWord } from '../../../core/courses/task-contents.ts'
import type { CoursePlan } from '../../../core/courses/plan.ts'
import { thisInstant } from '../../frame/now.tsx'
import { useKeeping, UnkeptNote } from '../../journal/keeping.tsx'
import { PlainButton } from '../../look/buttons.ts'
import { HandbookLink } from '../../look/HandbookLink.tsx'
import { Heading, Rows } from '../../look/text.ts'

const Rule = styled.div`
  display: flex;
  justify-content: space-between;
  gap: 14px;
  font-size: 15px;
  line-height: 1.35;
`

const State = styled.span<{ $state: string }>`
  flex: none;
  max-width: 52%;
  text-align: right;
  color: var(--quiet);
  ${({ $state }) => $state === 'broken' && 'color: var(--act); font-weight: 650;'}
  ${({ $state }) => $state === 'holds' && 'color: var(--second); font-weight: 600;'}
`

const SIGNS: Record<string, string> = { holds: '✓ ', broken: '✕ ', 'not-yet': '', ask: '' }

/** The rules of a course and how each stands now; those only the keeper can answer, with the answer to give. */
export function Rules({ plan }: { plan: CoursePlan }) {
  const { keep, busy, unkept } = useKeeping()
  const { course, clock, rules } = plan
  // The move's own conditions are asked for when the count is full, and no sooner.
  const canSay = clock.state === 'complete' && !course.ended
  return (
    <section>
      <Heading>Rules</Heading>
      <Rows>
        {rules.map(({ id, rule, state, says, canBeSaid }) => (
          <li key={id}>
            <Rule>
              <span>{id.startsWith('tr-') ? <HandbookLink to={`quarantine#${id}`}>{rule}</HandbookLink> : rule}</span>
              <State $state={state}>
                {SIGNS[state]}
                {says}
                {canBeSaid && canSay && (
                  <>
                    {' '}
                    <PlainButton
                      onPress={() => void keep([ruleWord(course, id, clock.run, thisInstant())])}
                      isDisabled={busy}
                      aria-label={`It is so: ${rule}`}
                    >
                      it is so
                    </PlainButton>
                  </>
                )}
              </State>
            </Rule>
          </li>
        ))}
        <li>
          <Rule>
            <span>breathing fast, dashing, lying: air, and change half the water</span>
            <State $state="ask">watch</State>
          </Rule>
        </li>
      </Rows>
      {unkept && <UnkeptNote unkept={unkept} />}
    </section>
  )
}
