import { styled } from 'styled-components'
import { ruleWord } from '../../../core/courses/acts/task-contents.ts'
import { isDrugPlan, type CoursePlan } from '../../../core/courses/plan.ts'
import { byNearness } from '../../../core/courses/rules/nearness.ts'
import { runOf, type RuleState } from '../../../core/courses/rules/rules.ts'
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
  ${({ $state }) => $state === 'blind' && 'color: var(--act); font-weight: 650;'}
`

/** Hatched as all that nobody has measured. */
const Unseen = styled.i`
  display: inline-block;
  width: 22px;
  height: 12px;
  margin-right: 6px;
  border: 1px solid var(--act);
  background: repeating-linear-gradient(-62deg, var(--act) 0 1.5px, transparent 1.5px 5px);
`

/** What a rule is for, before its words, where that is not plain. */
const ROLE_WORDS: Record<RuleState['role'], string> = {
  gate: '',
  hard: '',
  stop: 'Stop if: ',
  escalate: 'Something else if: ',
  success: 'Done when: ',
  event: 'Set back: ',
}

type Look = RuleState['state'] | 'blind'

/** A stop that holds is no good news, and one that cannot see is not a quiet one. */
const lookOf = ({ role, state, blindSince }: RuleState): Look => {
  if (blindSince !== undefined && state !== 'holds') return 'blind'
  return role === 'success' || role === 'gate' || role === 'hard' || state !== 'holds' ? state : 'broken'
}

const SIGNS: Record<Look, string> = { holds: '✓ ', broken: '✕ ', 'not-yet': '', ask: '', unknown: '? ', blind: '' }

/** The rules of a course and how each stands now; those only the keeper can answer, with the answer to give. */
export function Rules({ plan }: { plan: CoursePlan }) {
  const { keep, busy, unkept } = useKeeping()
  const { course, events } = plan
  const drug = isDrugPlan(plan) ? plan : null
  const clock = drug?.clock ?? plan.salinity?.clock
  // A move's own conditions are asked for when the count is full, and no sooner; gates and a plan's stop rules every day.
  const canSay = (role: RuleState['role']) =>
    !course.ended && (role === 'gate' || (clock ? clock.state === 'complete' : plan.rounds === null))
  const run = runOf({ drug, rounds: plan.rounds, salinity: plan.salinity })
  const listed = course.definition.kind === 'plan' ? byNearness(plan.rules) : plan.rules
  const rules = [...listed, ...events.filter(({ state }) => state === 'holds')]
  return (
    <section>
      <Heading>Rules</Heading>
      <Rows>
        {rules.map(({ id, role, rule, says, canBeSaid, canBeDenied, then }, i) => (
          <li key={id}>
            <Rule>
              <span>
                {ROLE_WORDS[role]}
                {id.startsWith('tr-') ? <HandbookLink to={`quarantine#${id}`}>{rule}</HandbookLink> : rule}
                {then && `: ${then}`}
              </span>
              <State $state={lookOf(rules[i]!)}>
                {lookOf(rules[i]!) === 'blind' && <Unseen aria-hidden />}
                {SIGNS[lookOf(rules[i]!)]}
                {says}
                {canBeSaid && canSay(role) && (
                  <>
                    {' '}
                    <PlainButton
                      onPress={() => void keep([ruleWord(course, id, run, thisInstant())])}
                      isDisabled={busy}
                      aria-label={`It is so: ${rule}`}
                    >
                      it is so
                    </PlainButton>
                  </>
                )}
                {canBeDenied && !course.ended && (
                  <>
                    {' '}
                    <PlainButton
                      onPress={() => void keep([ruleWord(course, id, run, thisInstant(), 'skipped')])}
                      isDisabled={busy}
                      aria-label={`No longer: ${rule}`}
                    >
                      no longer
                    </PlainButton>
                  </>
                )}
              </State>
            </Rule>
          </li>
        ))}
        {course.definition.kind === 'school' && (
          <li>
            <Rule>
              <span>breathing fast, dashing, lying: air, and change half the water</span>
              <State $state="ask">watch</State>
            </Rule>
          </li>
        )}
      </Rows>
      {unkept && <UnkeptNote unkept={unkept} />}
    </section>
  )
}
