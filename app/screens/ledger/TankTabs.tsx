import { styled } from 'styled-components'
import { tanksOf } from '../../../core/household/tanks.ts'
import { useHousehold } from '../../journal/provider.tsx'
import { isIdle } from './columns.ts'
import { countsByTank, type DueSomewhere } from './due.ts'

const Bar = styled.div`
  display: flex;
  overflow-x: auto;
  background: var(--sheet);
  border-bottom: 1px solid var(--strong-rule);
  flex: none;
  scrollbar-width: none;
`

const Tab = styled.button`
  flex: 1 0 auto;
  min-width: 88px;
  min-height: 48px;
  padding: 4px 12px;
  border: 0;
  border-right: 1px solid var(--rule);
  border-bottom: 4px solid transparent;
  background: none;
  text-align: start;
  font-size: 15px;
  line-height: 1.2;
  color: var(--quiet);
  cursor: pointer;
  &[aria-pressed='true'] {
    color: var(--ink);
    font-weight: 700;
    border-bottom-color: var(--second);
  }
`

const Waits = styled.span<{ $late: boolean }>`
  display: block;
  font-size: 13px;
  font-weight: 600;
  color: ${({ $late }) => ($late ? 'var(--act)' : 'var(--soon)')};
`

/** How much waits, in words: "1 late, 2 due". */
function Count({ due, late }: { due: number; late: number }) {
  if (due === 0) return null
  return (
    <Waits $late={late > 0}>
      {late > 0 ? `● ${late} late` : `○ ${due} due`}
      {late > 0 && due > late && `, ${due - late} due`}
    </Waits>
  )
}

/** On the phone first what is due in the household, then one tank at a time; each tab says what waits there. */
export function TankTabs({
  shown,
  due,
  onShow,
}: {
  /** Null for what is due in the household. */
  shown: string | null
  due: readonly DueSomewhere[]
  onShow: (tankId: string | null) => void
}) {
  const { journal } = useHousehold()
  const counts = countsByTank(due)
  const tanks = tanksOf(journal)
  const ordered = [...tanks.filter((tank) => !isIdle(journal, tank)), ...tanks.filter((tank) => isIdle(journal, tank))]
  return (
    <Bar role="group" aria-label="What is due, and tanks">
      <Tab type="button" aria-pressed={shown === null} onClick={() => onShow(null)}>
        Due
        <Count due={due.length} late={due.filter(({ urgency }) => urgency.state === 'late').length} />
      </Tab>
      {ordered.map((tank) => (
        <Tab key={tank.id} type="button" aria-pressed={tank.id === shown} onClick={() => onShow(tank.id)}>
          {tank.name}
          <Count {...(counts.get(tank.id) ?? { due: 0, late: 0 })} />
        </Tab>
      ))}
    </Bar>
  )
}
