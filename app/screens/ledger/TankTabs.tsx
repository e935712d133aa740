import { styled } from 'styled-components'
import { tanksOf } from '../../../core/household/tanks.ts'
import { useHousehold } from '../../journal/provider.tsx'
import { isIdle } from './columns.ts'

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

/** On the phone one tank is shown at a time. */
export function TankTabs({ shown, onShow }: { shown: string; onShow: (tankId: string) => void }) {
  const { journal } = useHousehold()
  const tanks = tanksOf(journal)
  const ordered = [...tanks.filter((tank) => !isIdle(journal, tank)), ...tanks.filter((tank) => isIdle(journal, tank))]
  return (
    <Bar role="group" aria-label="Tanks">
      {ordered.map((tank) => (
        <Tab key={tank.id} type="button" aria-pressed={tank.id === shown} onClick={() => onShow(tank.id)}>
          {tank.name}
        </Tab>
      ))}
    </Bar>
  )
}
