import { Suspense, useContext } from 'react'
import { Link } from 'react-aria-components'
import { styled } from 'styled-components'
import { residentsOf } from '../../../core/household/animals.ts'
import { animalGroupById } from '../../../core/catalogue/animal-group.ts'
import { useHousehold } from '../../journal/provider.tsx'
import { Figure } from '../../look/text.ts'
import { animalName, newcomerName } from '../../words/entries.ts'
import { plural } from '../../../core/words/numbers.ts'
import { quantityText, volume } from '../../../core/words/quantities.ts'
import type { Journal } from '../../../core/journal/journal.ts'
import type { Tank } from '../../../core/household/tanks.ts'
import { shortCourseName } from '../../../core/courses/names.ts'
import type { CoursePlan } from '../../../core/courses/plan.ts'
import { LeadStrip } from '../../courses/LeadStrip.tsx'
import { tankOfPlan } from '../../courses/usePlans.ts'
import { phaseWords } from '../../courses/words.ts'
import { useNow } from '../../frame/now.tsx'
import { lazyWhenIdle } from '../../frame/when-idle.ts'
import { expectedIn, type Column } from './columns.ts'
import { PlansContext } from './plans.ts'
import { Who } from './who.ts'

const Head = styled.div`
  height: 100%;
  padding: 10px 10px 8px;
  border-left: 1px solid var(--rule);
  overflow: hidden;
`

const Top = styled.div`
  display: flex;
  justify-content: space-between;
  align-items: baseline;
  gap: 8px;
`

const Name = styled(Link)`
  font-size: 17px;
  font-weight: 700;
  color: var(--ink);
  text-decoration: none;
  overflow: hidden;
  text-overflow: ellipsis;
  white-space: nowrap;
  &[data-hovered] {
    text-decoration: underline;
  }
`

const CourseLink = styled(Link)`
  display: block;
  margin-top: 5px;
  color: var(--ink);
  text-decoration: none;
  font-size: 14px;
  line-height: 1.3;
  & > div:first-child {
    display: flex;
    justify-content: space-between;
    gap: 8px;
    margin-bottom: 4px;
    white-space: nowrap;
  }
  span:first-child {
    overflow: hidden;
    text-overflow: ellipsis;
  }
  span:last-child {
    flex: none;
  }
  &[data-hovered] span:first-child {
    text-decoration: underline;
  }
`

const Fold = styled.button`
  width: 100%;
  height: 100%;
  padding: 10px 0;
  border: 0;
  border-left: 1px solid var(--rule);
  background: none;
  cursor: pointer;
  font-size: 14px;
  color: var(--quiet);
  writing-mode: vertical-rl;
  text-align: start;
  overflow: hidden;
  white-space: nowrap;
`

/** Who lives in a tank, corals counted together: "Plum, Saffron · 11 corals". */
export function whoLivesIn(journal: Journal, tank: Tank): string {
  const residents = residentsOf(journal, tank.id)
  const isCoral = (group: string) => animalGroupById(group)?.kind === 'coral'
  const names = residents.filter(({ group }) => !isCoral(group)).map(({ id }) => animalName(journal, id))
  const corals = residents.filter(({ group }) => isCoral(group))
  const coralCount = corals.reduce((sum, { count }) => sum + count, 0)
  // A tank of corals alone names them; beside fish they are a number.
  const coralWords =
    corals.length === 0
      ? []
      : names.length === 0
        ? [corals.map(({ id }) => animalName(journal, id)).join(', ')]
        : [plural(coralCount, 'coral')]
  return [names.join(', '), ...coralWords].filter(Boolean).join(' · ')
}

/** A box due within two days is told of on a folded column. */
const SOON_MS = 48 * 3_600_000

/** The head of a tank's column: its name, net volume and who lives there. */
export function ColumnHead({ column: { tank, folded }, onUnfold }: { column: Column; onUnfold: () => void }) {
  const { journal, settings } = useHousehold()
  const expected = expectedIn(journal, tank.id)[0]
  const now = useNow()
  const plans = useContext(PlansContext).filter((plan) => tankOfPlan(plan) === tank.id)
  if (folded)
    return (
      <Fold type="button" onClick={onUnfold} aria-label={`Unfold ${tank.name}, empty`}>
        {tank.name}
        {expected && expected.dueAt - now < SOON_MS && ` · ${newcomerName(expected)} is on its way`}
      </Fold>
    )
  return (
    <Head>
      <Top>
        <Name href={`/tanks/${tank.id}`}>{tank.name}</Name>
        <Figure $size={14}>
          {tank.volume ? `${quantityText(volume(tank.volume.netL, settings.units))} net` : 'volume?'}
        </Figure>
      </Top>
      <Who>{whoLivesIn(journal, tank) || (expected ? `empty, waits for ${newcomerName(expected)}` : 'empty')}</Who>
      {plans.length > 0 && (
        <Suspense fallback={null}>
          <Handled tank={tank} />
        </Suspense>
      )}
      {plans.map((plan) => (
        <CourseLine key={plan.course.id} plan={plan} />
      ))}
    </Head>
  )
}

// How often each fish is handled is reckoned once the page has nothing else to do.
const Handled = lazyWhenIdle(async () => ({ default: (await import('./Handled.tsx')).Handled }))

/** A course in the head of its tank: its name, its day and its clock. */
function CourseLine({ plan }: { plan: CoursePlan }) {
  const { settings } = useHousehold()
  const now = useNow()
  return (
    <CourseLink href={`/courses/${plan.course.id}`}>
      <div>
        <span>{shortCourseName(plan.course)}</span>
        <span>{phaseWords(plan)}</span>
      </div>
      <LeadStrip plan={plan} zone={settings.clock} now={now} small />
    </CourseLink>
  )
}
